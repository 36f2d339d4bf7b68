package goodbones.server.accounts;

import java.security.SecureRandom;
import java.util.Locale;

/** One-time codes: easy to read out, long enough not to be guessed. */
final class Codes {
  /** Without letters and digits that look alike; 31 of them give nearly five bits each. */
  private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

  private static final int GROUPS = 4;
  private static final int GROUP = 4;
  private static final SecureRandom RANDOM = new SecureRandom();

  private Codes() {}

  /** A fresh code such as {@code K7QM-2HXR-9DTA-VW4P}. */
  static String fresh() {
    StringBuilder code = new StringBuilder();
    for (int i = 0; i < GROUPS * GROUP; i++) {
      if (i > 0 && i % GROUP == 0) {
        code.append('-');
      }
      code.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
    }
    return code.toString();
  }

  /** A code as it was meant, however it was typed. */
  static String read(String typed) {
    return typed.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
  }
}
