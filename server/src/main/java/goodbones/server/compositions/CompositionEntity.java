package goodbones.server.compositions;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.ArrayList;
import java.util.List;

/** An ordered set of pieces to start a page from. */
@Entity
@Table(name = "composition")
class CompositionEntity {
  @Id private String id = "";
  private String name = "";
  private String notes = "";
  private int position;

  /** A piece to a line, with its variant after a blank if it has one. */
  private String pieces = "";

  protected CompositionEntity() {}

  CompositionEntity(String id, String name, String notes, int position, List<Part> parts) {
    this.id = id;
    this.name = name;
    this.notes = notes;
    this.position = position;
    this.pieces = Part.lines(parts);
  }

  /**
   * One piece of a composition.
   *
   * @param variant the id of the variant that is shown; empty for the piece's own form
   */
  record Part(String pieceId, String variant) {
    /** A part to a line. */
    static String lines(List<Part> parts) {
      List<String> lines = new ArrayList<>();
      parts.forEach(part -> lines.add((part.pieceId() + " " + part.variant()).strip()));
      return String.join("\n", lines);
    }

    static List<Part> of(String lines) {
      List<Part> parts = new ArrayList<>();
      for (String line : lines.split("\n")) {
        String[] words = line.split(" ");
        parts.add(new Part(words[0], words.length > 1 ? words[1] : ""));
      }
      return parts;
    }

    /** The same, or another piece in its own form where it was the one that goes. */
    static List<Part> replaced(List<Part> parts, String gone, String by) {
      return parts.stream()
          .map(part -> part.pieceId().equals(gone) ? new Part(by, "") : part)
          .toList();
    }
  }

  String id() {
    return id;
  }

  String name() {
    return name;
  }

  String notes() {
    return notes;
  }

  int position() {
    return position;
  }

  List<Part> parts() {
    return Part.of(pieces);
  }

  void replace(String gone, String by) {
    pieces = Part.lines(Part.replaced(parts(), gone, by));
  }
}
