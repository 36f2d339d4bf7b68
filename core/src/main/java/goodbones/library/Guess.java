package goodbones.library;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Guesses what something is for from what it is made of, for the first description of a piece. It
 * is only offered: whoever keeps it may say otherwise.
 */
public final class Guess {
  private static final Pattern PRICE =
      Pattern.compile("[£€$]\\s?\\d|\\d[.,]\\d\\d\\b|\\d\\s?(?:EUR|GBP|USD|CHF)\\b");
  private static final Pattern HOURS =
      Pattern.compile(
          "\\b(?:mon|tues|wednes|thurs|fri|satur|sun)days?\\b.*\\d", Pattern.CASE_INSENSITIVE);
  private static final Pattern REACHED =
      Pattern.compile("[\\w.+-]+@[\\w-]+\\.\\w|(?:\\+|\\b0)\\d[\\d ]{6,}");
  private static final Pattern QUOTED =
      Pattern.compile("^\\s*[“‘«„\"].*[”’»“\"]\\s*$", Pattern.DOTALL);
  private static final int ALIKE = 3;
  private static final int NAME_LENGTH = 40;

  private final List<Node> nodes;
  private final Node root;

  private Guess(Node root) {
    this.root = root;
    this.nodes = root.all();
  }

  /**
   * What is guessed of a part of a document.
   *
   * @param shown as it is drawn, without members
   */
  public static Described of(Node shown) {
    Guess guess = new Guess(shown);
    Purpose purpose = guess.purpose();
    PieceKind kind = guess.kind(purpose);
    return Described.of(guess.name(purpose), kind, purpose);
  }

  private PieceKind kind(Purpose purpose) {
    if (root.kind() != Kind.SECTION) {
      return PieceKind.SAVED_BLOCK;
    }
    return switch (purpose) {
      case HEADER -> PieceKind.HEADER;
      case FOOTER -> PieceKind.FOOTER;
      default -> PieceKind.SECTION_TEMPLATE;
    };
  }

  private Purpose purpose() {
    if (nodes.stream().noneMatch(node -> node.kind().isElement())) {
      return Purpose.SKELETON;
    }
    if (nodes.stream().anyMatch(node -> isHeading(node, 1))) {
      return Purpose.OPENING;
    }
    if (says(PRICE) >= 2) {
      return Purpose.PRICES;
    }
    if (headingsThatAsk() >= 2) {
      return Purpose.QUESTIONS;
    }
    if (says(HOURS) >= 1) {
      return Purpose.HOURS;
    }
    if (says(QUOTED) >= 1) {
      return Purpose.QUOTE;
    }
    if (root.kind() != Kind.SECTION) {
      return Purpose.SMALL_PART;
    }
    if (alike() >= ALIKE) {
      return pictures() >= alike() && alike() > 4 ? Purpose.GALLERY : Purpose.CARDS;
    }
    if (pictures() > 0 && count(Kind.ROW) > 0) {
      return Purpose.PICTURE_WITH_TEXT;
    }
    if (says(REACHED) >= 1) {
      return Purpose.CONTACT;
    }
    if (count(Kind.BUTTON) > 0 && count(Kind.TEXT) <= 2) {
      return Purpose.CALL_TO_ACTION;
    }
    return count(Kind.TEXT) > 0 ? Purpose.TEXT : Purpose.OTHER;
  }

  private String name(Purpose purpose) {
    if (!root.name().isBlank()) {
      return root.name();
    }
    Optional<String> said =
        nodes.stream()
            .filter(node -> node.kind() == Kind.HEADING)
            .findFirst()
            .or(() -> nodes.stream().filter(node -> !words(node).isBlank()).findFirst())
            .map(Guess::words)
            .map(words -> words.replaceAll("\\s+", " ").strip())
            .filter(words -> !words.isEmpty());
    return said.map(Guess::cut)
        .orElseGet(() -> purpose == Purpose.OTHER ? root.kind().title() : purpose.title());
  }

  /** At a word’s end where there is one. */
  private static String cut(String words) {
    if (words.length() <= NAME_LENGTH) {
      return words;
    }
    int space = words.lastIndexOf(' ', NAME_LENGTH);
    return words.substring(0, space > 0 ? space : NAME_LENGTH);
  }

  private static boolean isHeading(Node node, int level) {
    return node.kind() == Kind.HEADING
        && node.content().get("level") instanceof FieldValue.Level is
        && is.level() == level;
  }

  private static String words(Node node) {
    return node.content().get("words") instanceof FieldValue.Words words ? words.text() : "";
  }

  private long says(Pattern pattern) {
    return nodes.stream().filter(node -> pattern.matcher(words(node)).find()).count();
  }

  private long headingsThatAsk() {
    return nodes.stream()
        .filter(node -> node.kind() == Kind.HEADING && words(node).strip().endsWith("?"))
        .count();
  }

  private long count(Kind kind) {
    return nodes.stream().filter(node -> node.kind() == kind).count();
  }

  private long pictures() {
    return count(Kind.PICTURE);
  }

  /** How many things of one make stand beside or below each other. */
  private long alike() {
    long most = 0;
    for (Node node : nodes) {
      List<List<Kind>> makes = new ArrayList<>();
      for (Node child : node.children()) {
        List<Kind> make = child.all().stream().map(Node::kind).toList();
        if (make.size() > 1) {
          makes.add(make);
        }
      }
      for (List<Kind> make : makes) {
        most = Math.max(most, makes.stream().filter(make::equals).count());
      }
    }
    return most;
  }
}
