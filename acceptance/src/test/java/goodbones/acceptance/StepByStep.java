package goodbones.acceptance;

import org.junit.jupiter.api.extension.ConditionEvaluationResult;
import org.junit.jupiter.api.extension.ExecutionCondition;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/** Steps of one story: when one fails, those after it have nothing to stand on and are left out. */
final class StepByStep implements ExecutionCondition, TestExecutionExceptionHandler {
  private boolean failed;

  @Override
  public ConditionEvaluationResult evaluateExecutionCondition(ExtensionContext context) {
    return failed
        ? ConditionEvaluationResult.disabled("an earlier step failed")
        : ConditionEvaluationResult.enabled("every step before it held");
  }

  @Override
  public void handleTestExecutionException(ExtensionContext context, Throwable thrown)
      throws Throwable {
    failed = true;
    throw thrown;
  }
}
