package goodbones.server.workbench;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Node;
import goodbones.document.PageShown;
import goodbones.document.Refused;
import goodbones.exchange.MarkedHtml;
import goodbones.server.drawing.Wording;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Words, pictures, links, and what a thing is called. */
sealed interface ContentEdit extends AskedEdit {
  /**
   * Fills a field.
   *
   * @param value words, an address, a level or a picture's id; an empty picture takes it away
   * @param alt a picture's alternative text here; empty for its own
   * @param newTab whether a link opens beside the page
   * @param decoration whether a picture says nothing here, whatever its own text is
   */
  @JsonTypeName("FIELD")
  record SetField(
      String node,
      String field,
      String value,
      @Nullable String alt,
      @Nullable Boolean decoration,
      @Nullable Boolean newTab)
      implements ContentEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      Field wanted = fieldOf(on, field, "has no field “" + field + "”");
      return fill(on, wanted, content(wanted, on.content().get(field), aim.pictures()));
    }

    private Optional<FieldValue> content(
        Field wanted, @Nullable FieldValue before, Pictures pictures) {
      return switch (wanted.type()) {
        case WORDS -> Optional.of(words(before, value.replace("\r\n", "\n")));
        case LINK, PAGE, PAGES ->
            Optional.of(new FieldValue.Link(value.strip(), Boolean.TRUE.equals(newTab)));
        case MENU -> Optional.of(new FieldValue.Menu(value.strip()));
        case ICON ->
            value.isBlank() ? Optional.empty() : Optional.of(FieldValue.Icon.of(value.strip()));
        case LEVEL -> Optional.of(new FieldValue.Level(level(value)));
        case PICTURE -> {
          if (value.isBlank()) {
            yield Optional.empty();
          }
          if (!PageShown.isPicture(value) && !pictures.exists(value)) {
            throw new BadInput(
                "value", "There is no picture “" + value + "”; choose one from the list");
          }
          yield Optional.of(
              new FieldValue.Picture(
                  value, alt == null ? "" : alt, Boolean.TRUE.equals(decoration)));
        }
      };
    }

    private static FieldValue words(@Nullable FieldValue before, String text) {
      return before instanceof FieldValue.Words words
          ? words.retyped(text)
          : new FieldValue.Words(text);
    }

    private static int level(String value) {
      try {
        return Integer.parseInt(value.strip());
      } catch (NumberFormatException e) {
        throw new BadInput(
            "value", "A heading's level is a number from 1 to 6, not “" + value + "”");
      }
    }
  }

  /**
   * Words that were edited on the canvas.
   *
   * @param value HTML, of which what words can be marked with is taken
   */
  @JsonTypeName("MARKED")
  record SetMarked(String node, String field, String value) implements ContentEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      FieldValue words = MarkedHtml.words(value);
      if (on.content().get(field) instanceof FieldValue.Words before
          && words.equals(new FieldValue.Words(before.text(), before.marks()))) {
        words = before;
      }
      return fill(on, fieldOf(on, field, "has no words"), Optional.of(words));
    }
  }

  /** Gives a thing a name. */
  @JsonTypeName("RENAME")
  record Rename(String node, String value) implements ContentEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      return new ReadEdit(
          new Edit.Rename(aim.bench().named(on.id()), value), "rename " + Wording.title(on));
    }
  }

  private static Field fieldOf(Node node, String key, String otherwise) {
    return Catalogue.field(node.kind(), key)
        .orElseThrow(() -> Refused.at(node, node.kind().oneOfIt() + " " + otherwise));
  }

  private static ReadEdit fill(Node node, Field field, Optional<FieldValue> content) {
    content
        .flatMap(field::faultOf)
        .ifPresent(
            fault -> {
              throw Refused.at(node, fault);
            });
    return new ReadEdit(
        new Edit.SetContent(node.id(), field.key(), content),
        "change " + field.label().toLowerCase() + " of " + node.kind().word());
  }
}
