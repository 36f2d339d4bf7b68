package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Catalogue;
import goodbones.document.LocalKey;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Placements;
import goodbones.testing.Runs;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/**
 * Histories that mix edits, undo, redo, holds, pasting, releases with their follow-ups, going back,
 * rollouts to some of the sites and take-backs, at depth four: case 27.
 */
class MixedHistoriesTest {
  private static final int HISTORIES = Runs.of(600, 20_000);
  private static final int STEPS = Runs.of(14, 40);
  private static final Set<String> RARE = Set.of("asked on the way back", "listed as out of sight");

  @Test
  void nothingIsUnsettledOrLostWhateverHappens() {
    Map<String, Integer> happened = new TreeMap<>();
    for (long seed = 1; seed <= HISTORIES; seed++) {
      Agency agency = new Agency(seed);
      int step = 0;
      try {
        Map<String, SiteNow> seen = new HashMap<>();
        for (step = 0; step < STEPS; step++) {
          agency.step();
          requireSettled(agency, seen);
        }
        agency.thereAndBack();
      } catch (RuntimeException | AssertionError failed) {
        throw new AssertionError("seed " + seed + ", step " + step + ": " + failed, failed);
      }
      agency.happened.forEach((what, times) -> happened.merge(what, times, Integer::sum));
    }
    for (String what :
        new String[] {
          "edit",
          "undo",
          "redo",
          "hold",
          "follow",
          "paste",
          "release",
          "follow-up",
          "waits inside a piece",
          "rollout",
          "asked",
          "asked for a site",
          "asked before undo",
          "take-back",
          "asked on the way back",
          "going back",
          "there and back",
          "listed as out of sight",
          "words kept"
        }) {
      assertThat(happened.getOrDefault(what, 0))
          .as("%s among %s", what, happened)
          .isGreaterThan(RARE.contains(what) ? 0 : HISTORIES / 400);
    }
  }

  /** No placement shows a revision that its changes were not settled on or cleanly rebased to. */
  static void requireSettled(Agency agency, Map<String, SiteNow> seen) {
    for (Agency.OneSite site : agency.sites) {
      SiteNow now = agency.now(site);
      if (now.equals(seen.put(site.id, now))) {
        continue;
      }
      for (Agency.OnePage page : site.pages) {
        assertThat(agency.reviewed.never(page.root, site.adopted)).as(page.id).isEmpty();
        Map<NodeId, Placement> placements = Placements.of(page.root);
        placements.forEach(
            (path, placement) -> {
              int shown = site.adopted.shownBy(placement);
              Set<LocalKey> asking = new HashSet<>();
              Rebased rebased =
                  Rebase.of(path, placement, shown, shown, agency.shelf, site.adopted);
              rebased.questions().forEach(question -> asking.addAll(question.keys()));
              asking.retainAll(rebased.seen());
              assertThat(asking).as("%s of %s", path, page.id).isEmpty();
            });
        assertThat(Catalogue.faults(agency.shown(site, page).root())).as(page.id).isEmpty();
      }
    }
  }
}
