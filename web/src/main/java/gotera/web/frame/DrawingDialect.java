package gotera.web.frame;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.processor.AbstractStandardExpressionAttributeTagProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * {@code drawing:svg} puts a drawing of ours into a page as it is. Unescaped text would be taken
 * apart and put together again for every page; a drawing is whole already.
 */
@Component
class DrawingDialect extends AbstractProcessorDialect {
  private static final String PREFIX = "drawing";
  private static final int PRECEDENCE = 1400;

  DrawingDialect() {
    super("drawings", PREFIX, PRECEDENCE);
  }

  @Override
  public Set<IProcessor> getProcessors(String prefix) {
    return Set.of(new Svg(prefix));
  }

  private static final class Svg extends AbstractStandardExpressionAttributeTagProcessor {
    Svg(String prefix) {
      super(TemplateMode.HTML, prefix, "svg", PRECEDENCE, true);
    }

    @Override
    protected void doProcess(
        ITemplateContext context,
        IProcessableElementTag tag,
        AttributeName name,
        String expression,
        Object drawing,
        IElementTagStructureHandler structure) {
      structure.setBody(drawing == null ? "" : drawing.toString(), false);
    }
  }
}
