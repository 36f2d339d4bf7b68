package goodbones.style;

/**
 * Whether finishes that were sound are so after a change: only what the change reaches is looked
 * up.
 */
final class Soundness {
  private Soundness() {}

  /**
   * @param before sound, as {@link SiteFinishes#requireSound} has it
   * @throws TokenProblem for the first token, style or kind that cannot be looked up any more
   */
  static void require(SiteFinishes before, SiteFinishes after) {
    for (String id : Differences.between(before, after)) {
      if (after.token(id).isPresent()) {
        after.worth(id);
        after.house().schemes().forEach(scheme -> after.in(scheme.id()).worth(id));
      } else if (after.ownValue(id).isPresent()) {
        after.worth(id);
      }
    }
    after.requireSoundStyles();
  }
}
