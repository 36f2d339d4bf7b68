package goodbones.propagation;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Expanded;
import goodbones.library.Library;
import goodbones.library.PieceGraph;
import goodbones.library.Placements;
import goodbones.library.Revision;
import goodbones.library.Showing;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.ToIntFunction;

/**
 * Works out the revisions that follow when pieces get newer ones: every piece in which one of them
 * stands gets a revision that is bound to the newer one, upwards, each after all that it contains.
 * It is the same document but for those placements, its own changes there rebased. What asks stays
 * bound where it is until somebody answers; all else follows. Nothing is kept by that.
 */
public final class FollowUps {
  private final Library library;
  private final PieceGraph graph;
  private final ToIntFunction<String> current;

  /**
   * @param graph by the current revisions
   * @param current from a piece to the number of its current revision
   */
  public FollowUps(Library library, PieceGraph graph, ToIntFunction<String> current) {
    this.library = library;
    this.graph = graph;
    this.current = current;
  }

  /**
   * A revision that follows.
   *
   * @param revision the new revision, one after the current one
   * @param bound the placements in which it differs from the one before, by their paths
   */
  public record FollowUp(Revision revision, SortedMap<NodeId, Placement> bound) {}

  /**
   * A placement in a piece that stays bound where it is, because nobody answered what it asks.
   *
   * @param pieceId the piece in which it stands
   * @param wanted the revision that it would be bound to
   */
  public record Waiting(
      String pieceId, NodeId path, Placement placement, int wanted, Rebased rebased) {}

  /** A question inside a piece. */
  public record Asked(String pieceId, NodeId path, Question question) {}

  /** What comes of it. */
  public record Outcome(List<FollowUp> followUps, List<Waiting> waiting) {
    public Outcome {
      followUps = List.copyOf(followUps);
      waiting = List.copyOf(waiting);
    }
  }

  /** A document bound anew, and what of it stays as it is. */
  public record Bound(Node root, SortedMap<NodeId, Placement> bound, List<Waiting> waiting) {}

  /**
   * Works out what follows.
   *
   * @param from the pieces that have a newer revision, or in which something was answered
   * @param decided what was decided for a question, if anything was
   * @throws IllegalArgumentException if a piece contains itself
   */
  public Outcome of(Collection<String> from, Function<Asked, Optional<Settlement>> decided) {
    Pending pending = new Pending();
    List<FollowUp> followUps = new ArrayList<>();
    List<Waiting> waiting = new ArrayList<>();
    for (String piece : graph.upwards(from)) {
      Revision now = library.revision(piece, current.applyAsInt(piece));
      Bound bound = bound(piece, now.root(), pending, pending::newest, decided);
      waiting.addAll(bound.waiting());
      if (!bound.bound().isEmpty()) {
        Revision next =
            new Revision(
                piece,
                now.number() + 1,
                bound.root(),
                "",
                finishes(now, bound.bound().values(), pending));
        pending.add(next);
        followUps.add(new FollowUp(next, bound.bound()));
      }
    }
    return new Outcome(followUps, waiting);
  }

  /** It needs the finishes that what it is bound to needs. */
  private static int finishes(Revision base, Collection<Placement> bound, Library library) {
    return bound.stream()
        .mapToInt(p -> library.revision(p.pieceId(), p.bound()).finishes())
        .reduce(base.finishes(), Math::max);
  }

  /**
   * Binds what stands in a document to the current revisions.
   *
   * @param piece the piece whose document it is: its current revision's, or a draft
   */
  public Bound bound(String piece, Node document, Function<Asked, Optional<Settlement>> decided) {
    return bound(piece, document, library, current, decided);
  }

  private static Bound bound(
      String piece,
      Node document,
      Library library,
      ToIntFunction<String> newest,
      Function<Asked, Optional<Settlement>> decided) {
    SortedMap<NodeId, Placement> changed = new TreeMap<>();
    List<Waiting> waiting = new ArrayList<>();
    Node root =
        Placements.mapped(
            document,
            (path, placement) -> {
              int wanted = newest.applyAsInt(placement.pieceId());
              if (placement.bound() == wanted) {
                return placement;
              }
              Rebased rebased =
                  Rebase.of(path, placement, placement.bound(), wanted, library, Showing.BOUND);
              Map<String, Settlement> decisions = new HashMap<>();
              for (Question question : rebased.allQuestions()) {
                decided
                    .apply(new Asked(piece, path, question))
                    .ifPresent(settlement -> decisions.put(question.id(), settlement));
              }
              if (!rebased.open(decisions).isEmpty()) {
                waiting.add(new Waiting(piece, path, placement, wanted, rebased));
                return placement;
              }
              Placement bound = rebased.bound(decisions);
              changed.put(path, bound);
              return bound;
            });
    return new Bound(root, changed, waiting);
  }

  /** The library with the revisions that are worked out. */
  private final class Pending implements Library {
    private final Map<String, Revision> made = new HashMap<>();
    private final Map<String, Expanded> expanded = new HashMap<>();

    void add(Revision revision) {
      made.put(revision.pieceId(), revision);
    }

    int newest(String pieceId) {
      Revision revision = made.get(pieceId);
      return revision == null ? current.applyAsInt(pieceId) : revision.number();
    }

    private boolean isMade(String pieceId, int number) {
      Revision revision = made.get(pieceId);
      return revision != null && revision.number() == number;
    }

    @Override
    public Revision revision(String pieceId, int number) {
      return isMade(pieceId, number) ? made.get(pieceId) : library.revision(pieceId, number);
    }

    @Override
    public Expanded expanded(String pieceId, int number) {
      return isMade(pieceId, number) ? made(pieceId, number) : library.expanded(pieceId, number);
    }

    /** Not in one step: what it is bound to may be among those made too. */
    private Expanded made(String pieceId, int number) {
      Expanded known = expanded.get(pieceId);
      if (known == null) {
        known = Library.super.expanded(pieceId, number);
        expanded.put(pieceId, known);
      }
      return known;
    }
  }
}
