package gotera.web.frame;

import java.util.Set;
import java.util.regex.Pattern;
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

  /** A blank between a number and its unit, or before or after ±. */
  private static final Pattern BLANK =
      Pattern.compile(
          "(?<=[\\d\u2265\u2264\u00b1]) (?=(?:kPa|psi|bar|inHg|mL|L|gal|qt|min|s|h|K|mm|m|%|\u00b0[CF])\\b|%|\u00b0[CF]|\u00b1)"
              + "|(?<=\u00b1) (?=[\\d\u2212])");

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
      String kept = verbatim > 0 ? is : unbroken(is);
      super.handleText(kept.equals(is) ? text : getContext().getModelFactory().createText(kept));
    }
  }
}
