package goodbones.server.drawing;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.style.Candidate;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Puts core values into the interface's words. */
public final class Wording {
  private final SiteFinishes finishes;

  public Wording(SiteFinishes finishes) {
    this.finishes = finishes;
  }

  /** A node's name, or its words, or its kind; of an icon which one it is. */
  public static String title(Node node) {
    if (!node.name().isBlank()) {
      return node.name();
    }
    if (node.content().get("icon") instanceof FieldValue.Icon icon) {
      return node.kind().title() + ": " + icon.name().replace('-', ' ');
    }
    String words = text(node.content().get("words"));
    return words.isBlank() ? node.kind().title() : shortened(words);
  }

  /** One node by its title, more of them by their number. */
  public static String titles(List<Node> nodes) {
    return nodes.size() == 1 ? title(nodes.get(0)) : nodes.size() + " things";
  }

  /** What a field holds, as text; a picture's id for a picture. */
  public static String text(@Nullable FieldValue value) {
    if (value instanceof FieldValue.Words words) {
      return words.text();
    } else if (value instanceof FieldValue.Picture picture) {
      return picture.pictureId();
    } else if (value instanceof FieldValue.Link link) {
      return link.target();
    } else if (value instanceof FieldValue.Menu menu) {
      return menu.name();
    } else if (value instanceof FieldValue.Icon icon) {
      return icon.toString();
    } else if (value instanceof FieldValue.Level level) {
      return String.valueOf(level.level());
    }
    return "";
  }

  private static String shortened(String text) {
    String line = text.replace('\n', ' ');
    return line.length() <= 40 ? line : line.substring(0, 39) + "…";
  }

  /** What an aspect of a node is called. */
  public static String label(@Nullable Kind kind, Aspect aspect) {
    if (aspect instanceof Aspect.Content content) {
      return kind == null
          ? content.field()
          : Catalogue.field(kind, content.field()).map(Field::label).orElse(content.field());
    } else if (aspect instanceof Aspect.Style style) {
      return label(kind, style.key());
    } else if (aspect instanceof Aspect.Visibility) {
      return "Visibility";
    } else if (aspect instanceof Aspect.NamedStyles) {
      return "Named styles";
    } else if (aspect instanceof Aspect.Scheme) {
      return "Colour scheme";
    } else if (aspect instanceof Aspect.Removed) {
      return "Removed here";
    } else if (aspect instanceof Aspect.Switched) {
      return "Optional part";
    } else if (aspect instanceof Aspect.VariantShown) {
      return "Variant";
    } else if (aspect instanceof Aspect.Items) {
      return "Items";
    }
    return "Place";
  }

  private static String label(@Nullable Kind kind, StyleKey key) {
    return (kind == null ? key.property().label() : Catalogue.label(kind, key.property()))
        + (key.device() == Device.DESKTOP ? "" : " on " + key.device().word())
        + (key.state() == State.NORMAL ? "" : ", " + key.state().word());
  }

  /** A local value as a designer reads it. */
  public String value(Optional<LocalValue> value) {
    if (value.isEmpty()) {
      return "nothing";
    }
    LocalValue is = value.get();
    if (is instanceof LocalValue.ContentIs content) {
      return content.value().map(Wording::content).orElse("taken away");
    } else if (is instanceof LocalValue.StyleIs style) {
      return style.value().map(this::withWorth).orElse("none");
    } else if (is instanceof LocalValue.HiddenOn hidden) {
      return hidden.devices().isEmpty()
          ? "shown everywhere"
          : "hidden on "
              + hidden.devices().stream().map(Device::word).collect(Collectors.joining(", "));
    } else if (is instanceof LocalValue.PlacedUnder placed) {
      return placed.inserted().map(node -> "added here: " + title(node)).orElse("moved here");
    }
    if (is instanceof LocalValue.SwitchedIs switched) {
      return switched.on() ? "switched on" : "switched off";
    } else if (is instanceof LocalValue.VariantIs form) {
      return form.variant().isPresent() ? "another variant" : "no variant";
    } else if (is instanceof LocalValue.ItemsAre items) {
      return items.ids().size() == 1 ? "1 item" : items.ids().size() + " items";
    }
    return is instanceof LocalValue.IsRemoved ? "removed" : "changed";
  }

  private static String content(FieldValue value) {
    return value instanceof FieldValue.Picture picture
        ? picture.alt().isBlank() ? "a picture" : "picture: " + shortened(picture.alt())
        : "“" + shortened(text(value)) + "”";
  }

  private String withWorth(StyleValue value) {
    return value instanceof StyleValue.TokenRef ref
        ? finishes.written(value) + " = " + finishes.worth(ref.tokenId()).css()
        : finishes.written(value);
  }

  /** Where a candidate on the trail comes from. */
  public String source(Candidate candidate, String pieceName, String inheritedFrom) {
    return switch (candidate.source()) {
      case LOCAL -> "Local change here";
      case OWN -> "Set here";
      case PIECE, CONTAINER ->
          (candidate.source() == goodbones.style.Layer.Source.CONTAINER ? "In " : "")
              + pieceName
              + ", revision "
              + candidate.label().substring(candidate.label().lastIndexOf(' ') + 1);

      case ITEM -> "This item alone";
      case VARIANT -> "Variant " + candidate.label();
      case NAMED -> "Named style " + candidate.label();
      case SCHEME -> "Scheme " + candidate.label();
      case DEFAULT -> "House finishes for every " + candidate.label().toLowerCase();
      case INHERITED -> "Inherited from " + inheritedFrom;
      case INITIAL -> "Nothing sets it";
    };
  }

  /** A candidate's stored value, with the tokens behind it. */
  public String chain(Candidate candidate) {
    if (candidate.value().isEmpty()) {
      return "none";
    }
    if (candidate.chain().isEmpty()) {
      return candidate.css();
    }
    return candidate.chain().stream()
        .map(step -> "{" + step.name() + "}" + from(step.from()))
        .collect(Collectors.joining(" → "));
  }

  private static String from(SiteFinishes.From from) {
    return switch (from) {
      case HOUSE -> "";
      case SITE -> " (site’s own)";
      case SCHEME -> " (in this scheme)";
    };
  }
}
