package gotera.web.frame;

import gotera.quantity.PressureUnit;
import gotera.quantity.VolumeUnit;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.thymeleaf.dialect.AbstractDialect;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.model.ICloseElementTag;
import org.thymeleaf.model.IOpenElementTag;
import org.thymeleaf.model.IText;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/** Keeps a number and its unit on one line, and what is ± of it, on every page. */
@Component
class UnbrokenFigures extends AbstractDialect implements IPostProcessorDialect {
  private static final int AFTER_ALL_ELSE = 1000;

  /** Symbols of units that nobody chooses. */
  private static final String OTHERS = "mL|min|s|h|K|mm|m|%|\u00b0C|\u00b0F";

  private static final String SIGNS = "\u00b1\u2264\u2265";

  /** A blank between a number and its unit, or before or after \u00b1. */
  private static final Pattern BLANK =
      Pattern.compile(
          "(?<=\\d) (?=(?:"
              + OTHERS
              + "|"
              + chosen()
              + ")(?!\\w)|\u00b1)"
              + "|(?<=[\u00b1\u2264\u2265]) (?=[\\d\u2212])");

  private static String chosen() {
    return Stream.concat(
            Stream.of(PressureUnit.values()).map(PressureUnit::symbol),
            Stream.of(VolumeUnit.values()).map(VolumeUnit::symbol))
        .map(Pattern::quote)
        .collect(Collectors.joining("|"));
  }

  UnbrokenFigures() {
    super("unbroken figures");
  }

  @Override
  public int getDialectPostProcessorPrecedence() {
    return AFTER_ALL_ELSE;
  }

  @Override
  public Set<IPostProcessor> getPostProcessors() {
    return Set.of(new PostProcessor(TemplateMode.HTML, Handler.class, AFTER_ALL_ELSE));
  }

  static String unbroken(String text) {
    return !mayHold(text) ? text : replaced(text);
  }

  /** Whether a blank stands after a digit or a sign: most texts of a page have none. */
  private static boolean mayHold(String text) {
    for (int i = text.indexOf(' ', 1); i > 0; i = text.indexOf(' ', i + 1)) {
      char before = text.charAt(i - 1);
      if (before >= '0' && before <= '9' || SIGNS.indexOf(before) >= 0) {
        return true;
      }
    }
    return false;
  }

  private static String replaced(String text) {
    return BLANK.matcher(text).replaceAll("\u00a0");
  }

  /** Goes over the text of a page; what was typed stays as it was typed. */
  public static final class Handler extends AbstractTemplateHandler {
    private static final Set<String> VERBATIM = Set.of("textarea", "script", "style");
    private int verbatim;

    /** Made anew for every page. */
    public Handler() {}

    @Override
    public void handleOpenElement(IOpenElementTag open) {
      verbatim += VERBATIM.contains(open.getElementCompleteName()) ? 1 : 0;
      super.handleOpenElement(open);
    }

    @Override
    public void handleCloseElement(ICloseElementTag close) {
      verbatim -= VERBATIM.contains(close.getElementCompleteName()) ? 1 : 0;
      super.handleCloseElement(close);
    }

    @Override
    public void handleText(IText text) {
      String is = text.getText();
      // a drawing comes whole; what looks like a figure in it is a path
      String kept = verbatim > 0 || is.startsWith("<svg") ? is : unbroken(is);
      super.handleText(kept.equals(is) ? text : getContext().getModelFactory().createText(kept));
    }
  }
}
