package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleValue;
import goodbones.library.Placements;
import goodbones.testing.Shelf;
import goodbones.testing.Trees;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** The library of an agency: releases with their follow-ups, and going back. */
final class AgencyLibrary {
  private final Shelf shelf;
  private final List<String> ids;
  private final Random random;
  private final Trees trees;
  private final Map<String, Integer> happened;
  private final Map<String, List<Load.Came>> came = new HashMap<>();

  /**
   * @param trees makes what pieces get
   * @param happened counts what is done
   */
  AgencyLibrary(
      Shelf shelf, List<String> ids, Random random, Trees trees, Map<String, Integer> happened) {
    this.shelf = shelf;
    this.ids = ids;
    this.random = random;
    this.trees = trees;
    this.happened = happened;
  }

  private <T> T pick(List<T> items) {
    return items.get(random.nextInt(items.size()));
  }

  private void count(String what) {
    happened.merge(what, 1, Integer::sum);
  }

  Settlement any(Question question) {
    List<Settlement> choices = new ArrayList<>(question.choices());
    Collections.sort(choices);
    return pick(choices);
  }

  /** Something else in a piece; or what clashes with one of some changes, if there is any. */
  void release(List<LocalKey> changed) {
    if (!clash(changed)) {
      String piece = pick(ids);
      release(piece, shelf.edited(piece, trees, 3 + random.nextInt(6)));
      count("release");
    }
  }

  /** The library changes something that is changed at a placement, on a page or in a piece. */
  boolean clash(List<LocalKey> keys) {
    if (keys.isEmpty()) {
      return false;
    }
    LocalKey key = pick(keys);
    NodeId node = key.node().own();
    for (String piece : ids) {
      Node root = shelf.revision(piece, shelf.current(piece)).root();
      if (root.find(node).isPresent() && !root.id().equals(node)) {
        release(piece, Editor.apply(root, clashing(node, key)).root());
        count("release");
        return true;
      }
    }
    return false;
  }

  static void addChanged(Node document, List<LocalKey> keys) {
    Placements.of(document).values().forEach(p -> keys.addAll(p.changes().keySet()));
  }

  /** What is changed at placements in pieces. */
  void addChanged(List<LocalKey> keys) {
    ids.forEach(piece -> addChanged(shelf.revision(piece, shelf.current(piece)).root(), keys));
  }

  private Edit clashing(NodeId node, LocalKey key) {
    int what = random.nextInt(4);
    if (what > 0 && key.aspect() instanceof Aspect.Style style) {
      StyleValue value = StyleValue.literal(random.nextBoolean() ? "inherit" : "initial");
      return new Edit.SetStyle(node, style.key(), Optional.of(value));
    } else if (what > 0 && key.aspect() instanceof Aspect.Content content) {
      return new Edit.SetSiteSlot(node, content.field(), random.nextInt(4) > 0);
    } else if (what > 0 && key.aspect() instanceof Aspect.NamedStyles) {
      return new Edit.SetNamedStyles(node, List.of("loud"));
    }
    return new Edit.Remove(node);
  }

  void release(String piece, Node root) {
    int answers = random.nextInt(3);
    note(
        piece,
        shelf.release(
            piece,
            root,
            asked -> answers == 0 ? Optional.empty() : Optional.of(any(asked.question()))));
    came(piece).add(new Load.Came(shelf.current(piece), "", false));
    if (random.nextInt(4) == 0) {
      // What was left open before is answered now.
      note(piece, shelf.follow(piece, asked -> Optional.of(any(asked.question()))));
    }
  }

  private void note(String piece, FollowUps.Outcome outcome) {
    outcome
        .followUps()
        .forEach(
            next ->
                came(next.revision().pieceId())
                    .add(new Load.Came(next.revision().number(), piece, false)));
    happened.merge("follow-up", outcome.followUps().size(), Integer::sum);
    happened.merge("waits inside a piece", outcome.waiting().size(), Integer::sum);
  }

  List<Load.Came> came(String piece) {
    return came.computeIfAbsent(piece, p -> new ArrayList<>());
  }

  /** The newest revision that follows from a piece, in each that contains it. */
  Map<String, Integer> followUps(String piece) {
    Map<String, Integer> followUps = new HashMap<>();
    for (String around : ids) {
      came(around).stream()
          .filter(c -> c.followed().equals(piece))
          .mapToInt(Load.Came::number)
          .max()
          .ifPresent(newest -> followUps.put(around, newest));
    }
    return followUps;
  }

  /** Gives a piece the document of the revision before, and marks what was gone back on. */
  void goBack(String piece) {
    int current = shelf.current(piece);
    for (String around : ids) {
      for (int i = 1; i <= shelf.current(around); i++) {
        boolean bound =
            Placements.of(shelf.revision(around, i).root()).values().stream()
                .anyMatch(p -> p.pieceId().equals(piece) && p.bound() == current);
        if (bound || around.equals(piece) && i == current) {
          shelf.goBackOn(around, i);
        }
      }
    }
    release(piece, shelf.revision(piece, current - 1).root());
    count("going back");
  }
}
