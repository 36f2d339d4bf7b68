package goodbones.server.accounts;

import goodbones.server.problems.BadInput;

/** The password that somebody has is not the one that was given. */
final class WrongPassword extends BadInput {
  private static final long serialVersionUID = 1L;

  WrongPassword() {
    super("present", "That is not your current password");
  }
}
