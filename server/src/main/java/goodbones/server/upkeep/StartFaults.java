package goodbones.server.upkeep;

import java.sql.SQLException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.diagnostics.FailureAnalyzer;

/** Says in a sentence why the application does not start, where that is no fault of its own. */
final class StartFaults implements FailureAnalyzer {
  // H2's own numbers (org.h2.api.ErrorCode).
  private static final int ALREADY_OPEN = 90020;
  private static final int FILE_RENAME_FAILED = 90024;
  private static final int FILE_CREATION_FAILED = 90062;
  private static final int READ_ONLY = 90097;

  @Override
  public @Nullable FailureAnalysis analyze(Throwable failure) {
    for (Throwable at = failure; at != null; at = at.getCause()) {
      String said = said(at);
      if (!said.isEmpty()) {
        return new FailureAnalysis(said, null, failure);
      }
    }
    return null;
  }

  private static String said(Throwable at) {
    if (at instanceof CannotStart) {
      return String.valueOf(at.getMessage());
    }
    if (at instanceof SQLException sql) {
      return switch (sql.getErrorCode()) {
        case ALREADY_OPEN ->
            "Another Good Bones is running on this data; stop it first, or choose another folder"
                + " with --data.";
        case FILE_CREATION_FAILED, FILE_RENAME_FAILED, READ_ONLY ->
            "The folder of the data cannot be written to; give yourself the right to, or choose"
                + " another folder with --data.";
        default -> "";
      };
    }
    return "";
  }
}
