package goodbones.server.problems;

import java.util.Map;

/** Why something was refused before it came to a controller, in words, by the status. */
final class Refusals {
  private static final Map<Integer, String> REASONS =
      Map.ofEntries(
          Map.entry(400, "The request cannot be read: its address or its form is not sound"),
          Map.entry(401, "Sign in first"),
          Map.entry(403, "Either there is nothing at this address, or it is closed"),
          Map.entry(404, "There is nothing at this address"),
          Map.entry(405, "What is at this address does not take this method"),
          Map.entry(406, "What is at this address is not to be had in a form that was asked for"),
          Map.entry(411, "Say how long the body is"),
          Map.entry(413, "What was sent is too large"),
          Map.entry(414, "The address is too long"),
          Map.entry(415, "What is at this address does not take content of this type"),
          Map.entry(417, "This expectation is not met here"),
          Map.entry(431, "The head of the request is too large"),
          Map.entry(501, "Nothing here takes this method"),
          Map.entry(505, "This version of HTTP is not spoken here"),
          Map.entry(503, "The application cannot answer just now; try again in a moment"));

  private Refusals() {}

  static String reason(int status) {
    String otherwise =
        status >= 500
            ? "This is a fault of the application, not of what you did. What was saved before is"
                + " kept; try again"
            : "The request was refused";
    return REASONS.getOrDefault(status, otherwise)
        + (isFault(status) ? "" : ". Nothing was changed");
  }

  static String title(int status) {
    return isFault(status) ? "Something went wrong here" : "This cannot be taken";
  }

  static String type(int status) {
    return isFault(status) ? "fault" : "bad-input";
  }

  /**
   * What is not spoken or not known here is asked for wrongly, although its numbers say otherwise.
   */
  private static boolean isFault(int status) {
    return status >= 500 && status != 501 && status != 505;
  }
}
