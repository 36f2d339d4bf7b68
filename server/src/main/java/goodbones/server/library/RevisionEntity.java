package goodbones.server.library;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Placements;
import goodbones.library.Revision;
import goodbones.propagation.FollowUps;
import goodbones.server.documents.DocumentJson;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import java.util.Objects;
import java.util.SortedMap;
import java.util.function.IntFunction;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "revision")
class RevisionEntity {
  /** Which piece, and the revision's number. */
  @Embeddable
  record Key(String pieceId, int number) implements Serializable {}

  @EmbeddedId private Key id = new Key("", 0);
  private String note = "";
  private int finishes;
  private Instant released = Instant.EPOCH;
  private boolean goneBackOn;
  private @Nullable String followedPiece;
  private @Nullable Integer followedRevision;

  /** Null for a follow-up: it is the revision before with other placements. */
  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private @Nullable String document;

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private @Nullable String bound;

  protected RevisionEntity() {}

  RevisionEntity(Revision revision, Instant released) {
    this.id = new Key(revision.pieceId(), revision.number());
    this.note = revision.note();
    this.finishes = revision.finishes();
    this.released = released;
    this.document = DocumentJson.write(revision.root());
  }

  /** A follow-up: kept as what differs from the revision before. */
  RevisionEntity(FollowUps.FollowUp followUp, Key followed, Instant released) {
    Revision revision = followUp.revision();
    this.id = new Key(revision.pieceId(), revision.number());
    this.finishes = revision.finishes();
    this.released = released;
    this.bound = DocumentJson.write(new Bound(followUp.bound()));
    this.followedPiece = followed.pieceId();
    this.followedRevision = followed.number();
  }

  /** The placements in which a follow-up differs. */
  record Bound(SortedMap<NodeId, Placement> placements) {}

  /**
   * @param before gives the document of an earlier revision of the piece, by its number
   */
  Revision revision(IntFunction<Node> before) {
    Node root =
        document == null
            ? Placements.replaced(
                before.apply(id.number() - 1),
                DocumentJson.read(Objects.requireNonNull(bound), Bound.class).placements())
            : DocumentJson.read(document, Node.class);
    return new Revision(id.pieceId(), id.number(), root, note, finishes, goneBackOn);
  }

  void goBackOn() {
    goneBackOn = true;
  }

  int number() {
    return id.number();
  }

  String pieceId() {
    return id.pieceId();
  }

  Key key() {
    return id;
  }
}
