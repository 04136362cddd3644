package gotera.web.words;

import java.text.MessageFormat;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;

/** The words a user reads, from the messages. */
@Component
public class Words {
  private final MessageSource messages;

  Words(MessageSource messages) {
    this.messages = messages;
  }

  /**
   * A sentence.
   *
   * @param key its key; a key without words is a mistake and fails
   * @param arguments what goes into its blanks
   */
  public String say(String key, Object... arguments) {
    assert blanks(key) <= arguments.length : "more blanks than are filled in " + key;
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }

  private int blanks(String key) {
    String raw = messages.getMessage(key, null, Locale.ENGLISH);
    return new MessageFormat(raw, Locale.ENGLISH).getFormatsByArgumentIndex().length;
  }

  /** Whether there are words for a key. */
  public boolean knows(String key) {
    return messages.getMessage(key, null, null, Locale.ENGLISH) != null;
  }
}
