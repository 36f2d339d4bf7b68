package goodbones.server.workbench;

import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.References;
import goodbones.document.Refused;
import goodbones.document.State;
import goodbones.document.Touched;
import goodbones.document.Uses;
import goodbones.library.Described;
import goodbones.library.Guess;
import goodbones.library.UnknownPiece;
import goodbones.library.VariantEditor;
import goodbones.server.coverage.Coverages;
import goodbones.server.drawing.Wording;
import goodbones.server.history.Changes;
import goodbones.server.history.History;
import goodbones.server.library.DescribedPiece;
import goodbones.server.library.Descriptions;
import goodbones.server.library.Pieces;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.SameNode;
import goodbones.server.problems.Stale;
import goodbones.server.sites.Sites;
import goodbones.structure.Samples;
import goodbones.structure.Sieve;
import goodbones.structure.Tying;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Pages and pieces on the workbench: what they show, and the edits made there. */
@Service
class Workbenches {
  private final Desks desks;
  private final Sites sites;
  private final Pieces pieces;
  private final Pictures pictures;
  private final History history;
  private final Changes changes;
  private final Canvas canvas;
  private final Coverages coverages;
  private final TransactionTemplate writing;
  private final TransactionTemplate reading;
  private final TransactionTemplate trying;
  private final Descriptions descriptions;

  Workbenches(
      Desks desks,
      Sites sites,
      Pieces pieces,
      Descriptions descriptions,
      Pictures pictures,
      History history,
      Changes changes,
      Canvas canvas,
      Coverages coverages,
      PlatformTransactionManager transactions) {
    this.desks = desks;
    this.sites = sites;
    this.pieces = pieces;
    this.descriptions = descriptions;
    this.pictures = pictures;
    this.history = history;
    this.changes = changes;
    this.canvas = canvas;
    this.coverages = coverages;
    this.writing = new TransactionTemplate(transactions);
    this.reading = new TransactionTemplate(transactions);
    this.reading.setReadOnly(true);
    this.trying = new TransactionTemplate(transactions);
  }

  /** Which document: a page, or a piece in a client's look. */
  record Which(String key, Function<Desks, Desk> open, Function<Desks, Desk> held) {
    static Which page(String id) {
      return new Which(Changes.ofPage(id), desks -> desks.page(id), desks -> desks.pageHeld(id));
    }

    /**
     * @param form the form that it is looked at in; empty for its own
     */
    static Which piece(String id, String site, String form) {
      Function<Desks, Desk> open = desks -> desks.piece(id, site, form);
      return new Which(Desks.pieceKey(id, site, form), open, open);
    }
  }

  private Desk held(Which which) {
    return which.held().apply(desks);
  }

  private Desk open(Which which) {
    return which.open().apply(desks);
  }

  /** One after the other for each document; what was remembered of a failure is forgotten. */
  private <T> T alone(Which which, TransactionTemplate transaction, Supplier<T> work) {
    DeskMemo memo = desks.memo(which.key());
    synchronized (memo) {
      try {
        return java.util.Objects.requireNonNull(
            transaction.execute(
                status -> {
                  if (transaction == trying) {
                    status.setRollbackOnly();
                  }
                  return work.get();
                }));
      } catch (RuntimeException failed) {
        memo.forget();
        throw failed;
      }
    }
  }

  Views.Workbench view(Which which) {
    return alone(which, reading, () -> view(open(which), "", Outcome.NONE));
  }

  private Views.Workbench view(Desk desk, String had, Outcome outcome) {
    return canvas.view(
        desk,
        had,
        history.toUndo(desk.historyId()).orElse(""),
        history.toRedo(desk.historyId()).orElse(""),
        outcome);
  }

  Views.Ladder ladder(Which which, List<NodeId> nodes, Device device, State state) {
    return alone(which, reading, () -> ladder(open(which), nodes, device, state));
  }

  private Views.Ladder ladder(Desk desk, List<NodeId> nodes, Device device, State state) {
    UnaryOperator<String> name =
        id -> id.equals(VariantEditor.PIECE) ? desk.title() : pieces.get(id).name();
    return new Ladders(desk, name).of(nodes, device, state);
  }

  Views.Workbench edit(Which which, EditRequest request, String who) {
    return alone(which, writing, () -> edited(held(which), request, who));
  }

  private Views.Workbench edited(Desk desk, EditRequest request, String who) {
    ReadEdit read = request.edit().read(aim(desk));
    Node before = desk.shown().root();
    Set<NodeId> touched = Touched.by(read.edit(), before);
    List<String> merged = merged(desk, request, touched);
    Edited edited = applied(desk, request, read);
    if (request.stamp() != null) {
      desk.requireHolds(edited, request.stamp());
    }
    Desk after = desk;
    if (!edited.root().equals(desk.kept()) || !edited.fillings().isEmpty()) {
      history.made(desk.historyId(), read.label(), edited.inverse());
      after = desk.write(edited);
      note(after, who, read.label(), touched);
    }
    Node shown = after.shown().root();
    Outcome outcome =
        new Outcome(
            merged,
            made(before, shown),
            FitReport.gaveWay(shown, read.gaveWay()),
            read.kept().map(ReadEdit.Kept::told).orElse(""));
    return view(after, drawing(request.drawing()), outcome);
  }

  /**
   * Makes an edit that was worked out, and that can be undone like any other.
   *
   * @return the document's version then
   */
  long made(Which which, Edit edit, String label, String who) {
    return alone(
        which,
        writing,
        () -> {
          Desk desk = held(which);
          Set<NodeId> touched = Touched.by(edit, desk.shown().root());
          Edited edited = desk.apply(edit, false, false);
          history.made(desk.historyId(), label, edited.inverse());
          Desk after = desk.write(edited);
          note(after, who, label, touched);
          return after.version();
        });
  }

  private Aim aim(Desk desk) {
    return new Aim(desk, pictures, new KnownHere(desk));
  }

  private Edited applied(Desk desk, EditRequest request, ReadEdit read) {
    read.made().ifPresent(desk::keep);
    read.kept().ifPresent(desk::keep);
    read.shared()
        .ifPresent(
            shared ->
                coverages.shareOnWholeSite(
                    desk.site().id(), shared.title(), shared.region(), shared.stands()));
    // What is kept as a piece is this item's; the others go on being made from the pattern.
    boolean every = Boolean.TRUE.equals(request.every()) && read.kept().isEmpty();
    Edited edited = desk.apply(read.edit(), every, Boolean.TRUE.equals(request.own()));
    requireKnown(desk, edited.root());
    return edited;
  }

  /** What a document would show after an edit; nothing is kept of it. */
  Views.Workbench tried(Which which, EditRequest request) {
    return alone(
        which,
        trying,
        () -> {
          Desk desk = open(which);
          Edited edited = applied(desk, request, request.edit().read(aim(desk)));
          Desk after = desk.write(edited);
          List<String> made = made(desk.shown().root(), after.shown().root());
          return canvas.tried(
              after, drawing(request.drawing()), new Outcome(List.of(), made, List.of(), ""));
        });
  }

  /** What a document would show with other words in its slots; nothing is kept of it. */
  Views.Workbench sampled(Which which, Samples.Length length) {
    return alone(
        which,
        trying,
        () -> {
          Desk desk = open(which);
          Edit edit = Samples.of(desk.shown().root(), length);
          return canvas.tried(desk.write(desk.apply(edit, false, false)), "", Outcome.NONE);
        });
  }

  /** The pieces that a part of a document could be tied to, those that fit best first. */
  List<Views.TieView> ties(Which which, NodeId node) {
    return read(
        which,
        desk -> {
          Tying tying = new Tying(desk.bench());
          Node copy = desk.shown().root().find(node).orElseThrow(() -> Refused.gone(node));
          List<Views.TieView> ties = new ArrayList<>();
          for (DescribedPiece piece : descriptions.all()) {
            boolean offered =
                piece.root().equals(copy.kind().word())
                    && piece.mayBePlacedAt(
                        desk.ownerSiteId().isEmpty() ? desk.site().id() : desk.ownerSiteId())
                    && !piece.id().equals(desk.id());
            if (offered) {
              tie(tying, node, desk, piece.id())
                  .filter(Tying.Tied::isAlike)
                  .map(
                      tied ->
                          new Views.TieView(
                              piece.id(), piece.said().name(), tied.fillings(), tied.changes()))
                  .ifPresent(ties::add);
            }
          }
          ties.sort(Comparator.comparingInt(Views.TieView::changes));
          return ties;
        });
  }

  private static Optional<Tying.Tied> tie(Tying tying, NodeId node, Desk desk, String pieceId) {
    try {
      return Optional.of(tying.tie(node, desk.placing(pieceId)));
    } catch (Refused | BadInput otherwise) {
      return Optional.empty();
    }
  }

  private static String drawing(@org.jspecify.annotations.Nullable String drawing) {
    return drawing == null ? "" : drawing;
  }

  /** The pictures there are, and the pieces that a desk's site shows. */
  private final class KnownHere implements Sieve.Known {
    private final Desk desk;

    KnownHere(Desk desk) {
      this.desk = desk;
    }

    @Override
    public boolean picture(String id) {
      return pictures.exists(id);
    }

    @Override
    public boolean page(String id) {
      return sites.tree(desk.site().id()).find(id).isPresent();
    }

    @Override
    public boolean piece(String id) {
      return pieces.exists(id);
    }

    @Override
    public boolean revision(String pieceId, int number) {
      try {
        pieces.revision(pieceId, number);
        return true;
      } catch (UnknownPiece unknown) {
        return false;
      }
    }
  }

  /**
   * Whatever way an edit came: what it brings in must be here.
   *
   * @throws Refused naming what is not
   */
  private void requireKnown(Desk desk, Node after) {
    KnownHere known = new KnownHere(desk);
    Uses had = Uses.of(desk.kept());
    Uses has = Uses.of(after);
    List<String> missing = new ArrayList<>();
    has.pictures().stream()
        .filter(id -> !had.pictures().contains(id) && !known.picture(id))
        .forEach(id -> missing.add("There is no picture “" + id + "”"));
    has.pieces().stream()
        .filter(id -> !had.pieces().contains(id) && !known.piece(id))
        .forEach(id -> missing.add("There is no piece “" + id + "”"));
    References before = References.of(desk.kept());
    References now = References.of(after);
    now.tokens().stream()
        .filter(id -> !before.tokens().contains(id) && desk.look().token(id).isEmpty())
        .forEach(id -> missing.add("There is no token “" + id + "” here"));
    now.schemes().stream()
        .filter(id -> !before.schemes().contains(id))
        .filter(id -> desk.look().house().scheme(id).isEmpty())
        .forEach(id -> missing.add("There is no scheme “" + id + "” here"));
    if (!missing.isEmpty()) {
      throw Refused.at(after, String.join("; ", missing));
    }
  }

  /** The outermost nodes that were not there before. */
  private static List<String> made(Node before, Node after) {
    Set<NodeId> had = new HashSet<>();
    before.walk(node -> had.add(node.id()));
    List<String> made = new ArrayList<>();
    collectMade(after, had, made);
    return made;
  }

  private static void collectMade(Node node, Set<NodeId> had, List<String> made) {
    if (had.contains(node.id())) {
      node.children().forEach(child -> collectMade(child, had, made));
    } else {
      made.add(node.id().value());
    }
  }

  private void note(Desk after, String who, String label, Set<NodeId> touched) {
    Set<String> ids = new TreeSet<>();
    touched.forEach(id -> ids.add(id.value()));
    changes.made(after.historyId(), after.version(), new Changes.Change(who, label, ids));
  }

  /**
   * An edit made on an older state holds if nobody touched the same nodes since.
   *
   * @return what others did meanwhile, in words
   */
  private List<String> merged(Desk desk, EditRequest request, Set<NodeId> touched) {
    if (request.version() == desk.version()) {
      return List.of();
    }
    List<Changes.Change> since =
        changes
            .since(desk.historyId(), request.version(), desk.version())
            .orElseThrow(() -> new Stale("“" + desk.title() + "”"));
    boolean over = Boolean.TRUE.equals(request.over());
    List<String> words = new ArrayList<>();
    for (Changes.Change change : since) {
      for (NodeId id : touched) {
        if (!over && change.touched().contains(id.value())) {
          String title =
              desk.shown().root().find(id).map(Wording::title).orElse("what you changed");
          throw new SameNode("“" + title + "”", change.who(), change.label());
        }
      }
      words.add(change.who() + ": " + change.label());
    }
    return words;
  }

  Views.Workbench turn(Which which, TurnRequest request, History.Way way, String who) {
    return alone(
        which,
        writing,
        () -> {
          Desk desk = held(which);
          if (desk.version() != request.version()) {
            throw new Stale("“" + desk.title() + "”");
          }
          if (Boolean.FALSE.equals(request.own())) {
            history.skip(way, desk.historyId());
            return view(desk, drawing(request.drawing()), Outcome.NONE);
          }
          String label =
              (way == History.Way.UNDO
                      ? history.toUndo(desk.historyId())
                      : history.toRedo(desk.historyId()))
                  .orElse("");
          AtomicReference<Edited> done = new AtomicReference<>();
          AtomicReference<Edit> made = new AtomicReference<>();
          history.turn(
              way,
              desk.historyId(),
              Edit.class,
              edit -> {
                done.set(desk.reapply(edit, Boolean.TRUE.equals(request.own())));
                made.set(edit);
                return done.get().inverse();
              });
          Set<NodeId> touched = Touched.by(made.get(), desk.kept());
          Desk after = desk.write(done.get());
          String word = way == History.Way.UNDO ? "undo " : "redo ";
          note(after, who, word + label, touched);
          List<String> put = made(desk.shown().root(), after.shown().root());
          return view(
              after, drawing(request.drawing()), new Outcome(List.of(), put, List.of(), ""));
        });
  }

  Views.Workbench release(Which which, Runnable release) {
    return alone(
        which,
        writing,
        () -> {
          release.run();
          return view(open(which), "", Outcome.NONE);
        });
  }

  /** What is guessed of a thing that might be kept as a piece. */
  Views.Guessed guess(Which which, NodeId node) {
    return read(
        which,
        desk -> {
          Described guess =
              Guess.of(desk.shown().root().find(node).orElseThrow(() -> Refused.gone(node)));
          return new Views.Guessed(guess.name(), guess.kind().word(), guess.purpose().word());
        });
  }

  <T> T read(Which which, Function<Desk, T> work) {
    return alone(which, reading, () -> work.apply(open(which)));
  }
}
