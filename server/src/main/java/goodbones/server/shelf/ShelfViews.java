package goodbones.server.shelf;

import goodbones.library.Described;
import goodbones.server.drawing.ChangeView;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;

/** What the library's screens are told besides cards, and what they send. */
final class ShelfViews {
  private static final String TOO_LONG = "At most {max} characters fit";

  private ShelfViews() {}

  /** Something to choose, by its word and as it is called. */
  record Choice(String word, String title) {}

  /** The kinds and purposes that a piece can have. */
  record Choices(List<Choice> kinds, List<Choice> purposes) {}

  /**
   * What is said of a piece.
   *
   * @param siteId the one client that it belongs to; empty for all
   */
  record DescribeRequest(
      @NotBlank(message = "Give the piece a name")
          @Size(max = Described.NAME_LIMIT, message = TOO_LONG)
          String name,
      String kind,
      String purpose,
      List<String> tags,
      @Size(max = Described.NOTES_LIMIT, message = TOO_LONG) String notes,
      String siteId) {}

  /**
   * Two revisions of a piece side by side.
   *
   * @param before the earlier one, as an HTML document
   * @param changes the nodes that differ, in the order of the later one, then those that went
   */
  record Compared(int from, int to, String before, String after, List<ChangeView> changes) {}

  /** Some pieces, by their ids. */
  record SomePieces(List<String> pieces) {}

  /**
   * Tags for several pieces.
   *
   * @param add what they get, each that has it not
   * @param remove what is taken from those that have it
   */
  record TagRequest(List<String> pieces, List<String> add, List<String> remove) {}

  /**
   * A draft as somebody saw it.
   *
   * @param changed when it was worked on last
   */
  record DraftSeen(String id, Instant changed) {}

  /** Drafts to release together, with one note. */
  record ReleaseSeveral(
      List<DraftSeen> pieces,
      @NotBlank(message = "Say in a few words what is new, for those who will review it")
          String note) {}
}
