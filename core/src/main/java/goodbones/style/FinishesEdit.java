package goodbones.style;

import goodbones.document.Kind;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.List;
import java.util.Optional;

/**
 * One edit of the house's finishes: puts one thing in place of what goes by its id, or takes it
 * away. The inverse of each is an edit of the same form.
 */
public sealed interface FinishesEdit {

  /**
   * @param index where it stands if it is new; at the end if there is no such place
   */
  record PutToken(String id, Optional<Token> token, int index) implements FinishesEdit {}

  record PutNamedStyle(String id, Optional<NamedStyle> style, int index) implements FinishesEdit {}

  record PutScheme(String id, Optional<Scheme> scheme, int index) implements FinishesEdit {}

  record PutDefault(Kind kind, StyleKey key, Optional<StyleValue> value) implements FinishesEdit {}

  /** What files said about groups, and what in them is no token to us. */
  record PutFile(List<TokenGroup> groups, String unread) implements FinishesEdit {
    public PutFile {
      groups = List.copyOf(groups);
    }
  }

  /** Several edits as one: all or nothing. */
  record Group(List<FinishesEdit> edits) implements FinishesEdit {
    public Group {
      edits = List.copyOf(edits);
    }
  }
}
