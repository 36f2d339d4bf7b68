package goodbones.server.reach;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** Where the boxes of a page stood in a browser. */
@Entity
class MeasuredPage {
  /** Which page at which device. */
  @Embeddable
  record Key(String pageId, String device) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "");
  private String stamp = "";

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String boxes = "";

  protected MeasuredPage() {}

  MeasuredPage(Key id, String stamp, String boxes) {
    this.id = id;
    this.stamp = stamp;
    this.boxes = boxes;
  }

  String stamp() {
    return stamp;
  }

  String boxes() {
    return boxes;
  }
}
