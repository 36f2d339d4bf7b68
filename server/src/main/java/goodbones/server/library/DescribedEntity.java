package goodbones.server.library;

import goodbones.document.FieldValue;
import goodbones.document.Node;
import goodbones.library.Described;
import goodbones.library.PieceKind;
import goodbones.library.Purpose;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is said of a piece, and what of its document lists and searches ask for. */
@Entity
@Table(name = "described")
class DescribedEntity {
  private static final int MOST_WORDS = 4000;

  @Id private String pieceId = "";
  private String kind = "";
  private String purpose = "";
  private String tags = "";
  private String notes = "";
  private @Nullable String siteId;
  private boolean retired;
  private String rootKind = "";
  private int variants;
  private boolean drafted;

  @Column(length = MOST_WORDS)
  private String words = "";

  private Instant changed = Instant.EPOCH;

  protected DescribedEntity() {}

  DescribedEntity(String pieceId) {
    this.pieceId = pieceId;
  }

  void describe(Described said) {
    kind = said.kind().word();
    purpose = said.purpose().word();
    tags = String.join("\n", said.tags());
    notes = said.notes();
    siteId = said.siteId().isEmpty() ? null : said.siteId();
  }

  /**
   * @param root what is worked on
   * @param shown the same as it is drawn
   */
  void shows(Node root, Node shown, boolean isDraft, Instant when) {
    rootKind = shown.kind().word();
    variants = root.options().variants().size();
    drafted = isDraft;
    changed = when;
    List<String> said = new ArrayList<>();
    shown.walk(
        node -> {
          if (node.content().get("words") instanceof FieldValue.Words text) {
            said.add(text.text());
          }
        });
    String all = String.join("\n", said);
    words = all.length() > MOST_WORDS ? all.substring(0, MOST_WORDS) : all;
  }

  Described said(String name) {
    return new Described(
        name, PieceKind.ofWord(kind), Purpose.ofWord(purpose), tags(), notes, siteId());
  }

  /** Of a piece that was kept before pieces were described. */
  boolean isUnknown() {
    return kind.isEmpty();
  }

  String pieceId() {
    return pieceId;
  }

  List<String> tags() {
    return tags.isEmpty() ? List.of() : List.of(tags.split("\n"));
  }

  String notes() {
    return notes;
  }

  /** The one client that it belongs to; empty for all. */
  String siteId() {
    return siteId == null ? "" : siteId;
  }

  String rootKind() {
    return rootKind;
  }

  int variants() {
    return variants;
  }

  boolean drafted() {
    return drafted;
  }

  String words() {
    return words;
  }

  Instant changed() {
    return changed;
  }

  boolean retired() {
    return retired;
  }

  void retire(boolean is) {
    retired = is;
  }
}
