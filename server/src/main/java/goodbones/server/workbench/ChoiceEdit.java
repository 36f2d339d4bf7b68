package goodbones.server.workbench;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.Edit;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Options;
import goodbones.document.Refused;
import goodbones.document.SlotWant;
import goodbones.document.Variant;
import goodbones.server.drawing.Wording;
import goodbones.structure.ListOfPages;
import goodbones.structure.Listing;
import goodbones.structure.Restoring;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What a placement may choose, and what its piece leaves it to choose. */
sealed interface ChoiceEdit extends AskedEdit {
  String TOO_LONG = "At most {max} characters fit";

  /** Any node, also one that is switched off or only there to be addressed. */
  private static Node member(Aim aim, String id) {
    NodeId wanted = NodeId.of(id);
    return aim.shown().members().find(wanted).orElseThrow(() -> Refused.gone(wanted));
  }

  /**
   * One more item in a list.
   *
   * @param node the list, for its end, or something in an item, for right after it
   */
  @JsonTypeName("ADD_ITEM")
  record AddItem(String node) implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      return new ReadEdit(aim.landing().addItem(NodeId.of(node)), "add an item");
    }
  }

  /**
   * Lets the items of a list show pages of the site, one to an item.
   *
   * @param node the list, or something in one of its items
   * @param pages their ids, in the order in which they are to be shown
   * @param lot what the list is to show all of, {@code page:ID} for what is filed under a page or
   *     {@code role:KIND}; empty if it is to show just these
   */
  @JsonTypeName("SHOW_PAGES")
  record ShowPages(
      String node,
      @NotNull @Size(max = LocalValue.ItemsAre.LIMIT) List<@NotBlank String> pages,
      @Nullable String lot)
      implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      pages.forEach(aim::requirePage);
      return new ReadEdit(
          new ListOfPages(aim.bench()).of(NodeId.of(node), pages, aim.lot(lot)),
          "choose the pages of a list");
    }
  }

  /** Makes a list of something and what beside it is built alike. */
  @JsonTypeName("MAKE_LIST")
  record MakeList(String node) implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      return new ReadEdit(
          new Listing(aim.bench()).make(on.id()), "make a list of " + Wording.title(on));
    }
  }

  /** Takes a list apart: its items become independent of each other. */
  @JsonTypeName("PLAIN_LIST")
  record PlainList(String node) implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      return new ReadEdit(
          new Listing(aim.bench()).plain(aim.node(node).id()), "take the list apart");
    }
  }

  /**
   * Chooses the variant that a placement shows.
   *
   * @param node the placement, by its path
   * @param variant the form's id; empty for the piece's own
   */
  @JsonTypeName("SHOW_VARIANT")
  record ShowVariant(String node, String variant) implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node placement = member(aim, node);
      Optional<String> wanted = Optional.of(variant).filter(id -> !id.isEmpty());
      String name =
          wanted
              .flatMap(
                  id ->
                      placement.children().stream()
                          .flatMap(root -> root.options().named(id).stream())
                          .findFirst())
              .map(Variant::name)
              .orElse("the piece itself");
      return new ReadEdit(new Edit.ShowVariant(placement.id(), wanted), "show " + name);
    }
  }

  /** Shows an optional part here, or not. */
  @JsonTypeName("SWITCH")
  record Switch(String node, boolean on) implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node part = member(aim, node);
      return new ReadEdit(
          new Edit.Switch(part.id(), on), "switch " + Wording.title(part) + (on ? " on" : " off"));
    }
  }

  /** Says whether placements may switch a part off. */
  @JsonTypeName("OPTIONAL")
  record SetOptional(String node, boolean on) implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node part = member(aim, node);
      return new ReadEdit(
          new Edit.SetOptional(part.id(), on),
          (on ? "make " : "always show ") + Wording.title(part) + (on ? " optional" : ""));
    }
  }

  /** Who fills a field. */
  enum Filled {
    /** The piece; a placement changes it as a local change. */
    FIXED,
    /** Every placement for itself. */
    OWN,
    /** Once for the whole site. */
    SITE
  }

  @JsonTypeName("SLOT")
  record SetSlot(String node, String field, Filled filled) implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node at = aim.node(node);
      Edit edit =
          switch (filled) {
            case OWN -> new Edit.SetSlot(at.id(), field, true);
            case SITE -> new Edit.SetSiteSlot(at.id(), field, true);
            case FIXED ->
                new Edit.Group(
                    List.of(
                        new Edit.SetSlot(at.id(), field, false),
                        new Edit.SetSiteSlot(at.id(), field, false)));
          };
      String what = field + " of " + Wording.title(at);
      return new ReadEdit(
          edit,
          switch (filled) {
            case FIXED -> "fix " + what;
            case OWN -> "make a slot of " + what;
            case SITE -> "fill " + what + " once for the site";
          });
    }
  }

  /**
   * What the author wants in a slot; nothing at all takes the wish away.
   *
   * @param from the fewest characters of words; 0 for any
   * @param to the most characters; 0 for any
   * @param ratio of a picture, such as {@code 3 / 2}; empty for any
   * @param purpose what it is for, in words; may be empty
   */
  @JsonTypeName("WANT")
  record SetWant(
      String node,
      String field,
      @Nullable Integer from,
      @Nullable Integer to,
      @Nullable String ratio,
      @Nullable String purpose)
      implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node at = aim.node(node);
      SlotWant was = at.options().wants().getOrDefault(field, SlotWant.NOTHING);
      SlotWant want =
          new SlotWant(
              from == null ? was.from() : from,
              to == null ? was.to() : to,
              ratio == null ? was.ratio() : ratio,
              purpose == null ? was.purpose() : purpose);
      return new ReadEdit(
          new Edit.SetWant(at.id(), field, want.isNothing() ? Optional.empty() : Optional.of(want)),
          "say what " + field + " of " + Wording.title(at) + " wants");
    }
  }

  /** Makes an earlier revision of the piece its draft. */
  @JsonTypeName("RESTORE")
  record RestoreRevision(int revision) implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node now = aim.piece();
      return new ReadEdit(
          Restoring.of(now, aim.earlier(revision)), "go back to revision " + revision);
    }
  }

  /** A new variant of the piece. */
  @JsonTypeName("VARIANT_ADD")
  record AddVariant(
      @NotBlank(message = "Give the variant a name") @Size(max = 60, message = TOO_LONG)
          String name)
      implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node piece = aim.piece();
      requireFree(piece, name, "");
      String id = UUID.randomUUID().toString();
      return new ReadEdit(
          new Edit.SetVariant(piece.id(), id, Optional.of(Variant.of(id, name.strip()))),
          "add the variant " + name.strip());
    }
  }

  @JsonTypeName("VARIANT_RENAME")
  record RenameVariant(
      String variant,
      @NotBlank(message = "Give the variant a name") @Size(max = 60, message = TOO_LONG)
          String name)
      implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node piece = aim.piece();
      Variant known = known(piece, variant);
      requireFree(piece, name, variant);
      return new ReadEdit(
          new Edit.SetVariant(piece.id(), variant, Optional.of(known.named(name.strip()))),
          "call the variant " + known.name() + " " + name.strip());
    }
  }

  @JsonTypeName("VARIANT_REMOVE")
  record RemoveVariant(String variant) implements ChoiceEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node piece = aim.piece();
      Variant known = known(piece, variant);
      return new ReadEdit(
          new Edit.SetVariant(piece.id(), variant, Optional.empty()),
          "take the variant " + known.name() + " away");
    }
  }

  private static Variant known(Node piece, String form) {
    return piece
        .options()
        .named(form)
        .orElseThrow(() -> Refused.at(piece, "This variant is not here any more"));
  }

  private static void requireFree(Node piece, String name, String but) {
    Options options = piece.options();
    boolean taken =
        options.variants().stream()
            .anyMatch(form -> !form.id().equals(but) && form.name().equalsIgnoreCase(name.strip()));
    if (taken) {
      throw Refused.at(
          piece, "There is a variant called “" + name.strip() + "” already; choose another name");
    }
  }
}
