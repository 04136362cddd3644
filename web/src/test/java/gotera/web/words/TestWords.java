package gotera.web.words;

import gotera.web.figures.FieldProblems;
import org.springframework.context.support.ResourceBundleMessageSource;

/** The application's words without the application. */
public final class TestWords {
  private TestWords() {}

  /** The words. */
  public static Words words() {
    ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
    messages.setBasename("messages");
    messages.setDefaultEncoding("UTF-8");
    messages.setFallbackToSystemLocale(false);
    return new Words(messages);
  }

  /** A form's problems, none so far. */
  public static FieldProblems problems() {
    return new FieldProblems(words());
  }
}
