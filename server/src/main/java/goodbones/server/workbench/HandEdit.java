package goodbones.server.workbench;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.Columns;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.exchange.PastedHtml;
import goodbones.server.documents.DocumentJson;
import goodbones.server.drawing.Wording;
import goodbones.server.problems.BadInput;
import goodbones.site.Region;
import goodbones.structure.Clip;
import goodbones.structure.Copies;
import goodbones.structure.Fresh;
import goodbones.structure.Landing;
import goodbones.structure.Mirror;
import goodbones.structure.Shell;
import goodbones.structure.Sieve;
import goodbones.structure.Wrapping;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What hands do with a page: add, move, put beside, wrap, mirror. */
sealed interface HandEdit extends AskedEdit {
  int CLIP_LIMIT = 4_000_000;
  String TOO_LARGE = "What was copied is too large; copy less of it at a time";
  String COLUMNS = "A row has 1 to 12 columns, not ${validatedValue}";

  /**
   * Something new in a container.
   *
   * @param before the sibling before which it is put; empty for the end
   * @param value how the columns of a new row share it
   * @param count how many columns a new row has
   */
  @JsonTypeName("ADD")
  record AddInto(
      String node,
      @Nullable String before,
      String kind,
      @Nullable String value,
      @Nullable @Min(value = 1, message = COLUMNS) @Max(value = Columns.TWELFTHS, message = COLUMNS)
          Integer count)
      implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node fresh = fresh(aim, kind, value, count);
      return new ReadEdit(
          aim.landing()
              .into(aim.node(node).id(), Aim.before(before), new Landing.Brought(List.of(fresh))),
          "add " + fresh.kind().word());
    }
  }

  /**
   * Something new beside another thing.
   *
   * @param after otherwise before it
   */
  @JsonTypeName("ADD_BESIDE")
  record AddBeside(
      String node,
      boolean after,
      String kind,
      @Nullable String value,
      @Nullable @Min(value = 1, message = COLUMNS) @Max(value = Columns.TWELFTHS, message = COLUMNS)
          Integer count)
      implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node beside = aim.node(node);
      Node fresh = fresh(aim, kind, value, count);
      return new ReadEdit(
          aim.landing().beside(beside.id(), after, new Landing.Brought(List.of(fresh))),
          "add " + fresh.kind().word() + " beside " + Wording.title(beside));
    }
  }

  /**
   * Places a piece.
   *
   * @param shell whether only its background, spacing and width are wanted, as an empty box that is
   *     tied to nothing
   */
  @JsonTypeName("PLACE")
  record PlacePiece(String node, @Nullable String before, String piece, @Nullable Boolean shell)
      implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      NodeId parent = aim.node(node).id();
      if (!aim.known().piece(piece)) {
        throw new BadInput(
            "piece", "There is no piece “" + piece + "” in the library; choose another one");
      }
      NodeId id = aim.bench().ids().get();
      Placement placed = aim.placing(piece);
      if (Boolean.TRUE.equals(shell)) {
        Node root = aim.bench().library().expanded(piece, placed.bound()).drawn();
        return new ReadEdit(
            aim.landing()
                .into(parent, Aim.before(before), new Landing.Brought(List.of(Shell.of(root, id)))),
            "take the shell of a piece");
      }
      Node placement = Node.placing(id, "", piece).withPlacement(placed);
      return new ReadEdit(
          aim.landing().into(parent, Aim.before(before), new Landing.Brought(List.of(placement))),
          "place a piece");
    }
  }

  @JsonTypeName("REMOVE")
  record Remove(@NotEmpty List<String> nodes) implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      return new ReadEdit(aim.landing().remove(Aim.ids(nodes)), "remove " + aim.titles(nodes));
    }
  }

  /**
   * Makes a section of a page what stands around the content of all pages of its site.
   *
   * @param region by its word
   */
  @JsonTypeName("AROUND")
  record StandAround(@NotNull String node, @NotNull String region) implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Region place = BadInput.known("region", region, Region::ofWord);
      Node stands = aim.straightOnPage(NodeId.of(node));
      return new ReadEdit(
          aim.landing().remove(List.of(NodeId.of(node))),
          "make " + aim.titles(List.of(node)) + " the " + place.title().toLowerCase(Locale.ROOT),
          new ReadEdit.Shared(
              Wording.title(aim.node(node)),
              place,
              List.of(Copies.of(stands, () -> NodeId.of(UUID.randomUUID().toString())))));
    }
  }

  @JsonTypeName("DUPLICATE")
  record Duplicate(@NotEmpty List<String> nodes) implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      return new ReadEdit(
          aim.landing().duplicate(Aim.ids(nodes)), "duplicate " + aim.titles(nodes));
    }
  }

  /**
   * @param node the container
   * @param nodes what is moved there
   */
  @JsonTypeName("MOVE")
  record Move(String node, @Nullable String before, @NotEmpty List<String> nodes)
      implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      return new ReadEdit(
          aim.landing()
              .into(aim.node(node).id(), Aim.before(before), new Landing.Carried(Aim.ids(nodes))),
          "move " + aim.titles(nodes));
    }
  }

  /**
   * @param node beside it
   * @param nodes what is moved there
   */
  @JsonTypeName("MOVE_BESIDE")
  record MoveBeside(String node, boolean after, @NotEmpty List<String> nodes) implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node beside = aim.node(node);
      return new ReadEdit(
          aim.landing().beside(beside.id(), after, new Landing.Carried(Aim.ids(nodes))),
          "move " + aim.titles(nodes) + " beside " + Wording.title(beside));
    }
  }

  /**
   * @param node the container, or what it goes next to
   * @param value what was copied
   */
  @JsonTypeName("PASTE")
  record Paste(
      String node,
      @Nullable String before,
      @Size(max = CLIP_LIMIT, message = TOO_LARGE) String value)
      implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node at = aim.node(node);
      Clip clip;
      try {
        clip = DocumentJson.read(value, Clip.class);
      } catch (IllegalStateException unreadable) {
        throw new BadInput("value", "What was copied cannot be read here; copy it again");
      }
      Clip.Settled settled = clip.at(aim.bench(), aim.known());
      if (settled.nodes().isEmpty()) {
        throw Refused.at(at, "Nothing of what was copied can stand here; it may be another site’s");
      }
      return pasted(aim, at, before, settled.nodes()).with(settled.gaveWay());
    }
  }

  /**
   * @param value HTML from another program
   */
  @JsonTypeName("PASTE_HTML")
  record PasteHtml(
      String node,
      @Nullable String before,
      @Size(max = CLIP_LIMIT, message = TOO_LARGE) String value)
      implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node at = aim.node(node);
      Sieve sieve = new Sieve(aim.finishes(), aim.known());
      List<Node> nodes =
          PastedHtml.nodes(value, aim.bench().ids()).stream()
              .flatMap(read -> sieve.sifted(read).stream())
              .toList();
      if (nodes.isEmpty()) {
        throw Refused.at(at, "There are no words in what was copied");
      }
      return pasted(aim, at, before, nodes);
    }
  }

  /**
   * @param kind section, row or box
   */
  @JsonTypeName("WRAP")
  record Wrap(@NotEmpty List<String> nodes, String kind) implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Kind around = Kind.ofWord(kind);
      return new ReadEdit(
          new Wrapping(aim.bench()).wrap(Aim.ids(nodes), around),
          "put a " + around.word() + " around " + aim.titles(nodes));
    }
  }

  @JsonTypeName("UNWRAP")
  record Unwrap(String node) implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      return new ReadEdit(
          new Wrapping(aim.bench()).unwrap(on.id()), "take the " + on.kind().word() + " away");
    }
  }

  @JsonTypeName("MIRROR")
  record MirrorRow(String node) implements HandEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      return new ReadEdit(new Mirror(aim.bench()).mirror(on.id()), "mirror " + Wording.title(on));
    }
  }

  private static Node fresh(Aim aim, String word, @Nullable String value, @Nullable Integer count) {
    Kind kind = Kind.ofWord(word);
    Fresh fresh = new Fresh(aim.bench().ids());
    if (kind == Kind.ROW && count != null) {
      return fresh.row(
          value == null || value.isEmpty() ? Columns.EQUAL : Columns.parse(value), count);
    }
    return fresh.of(kind);
  }

  private static ReadEdit pasted(Aim aim, Node at, @Nullable String before, List<Node> nodes) {
    return new ReadEdit(
        aim.landing().near(at.id(), Aim.before(before), new Landing.Brought(nodes)),
        "paste " + Wording.titles(nodes));
  }
}
