package goodbones.server.sites;

import goodbones.document.FieldValue;
import goodbones.server.documents.DocumentJson;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.Optional;

/** What fills a slot of a whole site. A slot that was emptied keeps its row, and its stamp. */
@Entity
@Table(name = "site_filling")
class FillingRow {
  private static final String NOTHING = "";

  /** At which site, and which slot. */
  @Embeddable
  record Key(String siteId, String node, String field) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "", "");
  @Lob private String content = NOTHING;
  private long stamp;

  protected FillingRow() {}

  FillingRow(Key id, Optional<FieldValue> value, long stamp) {
    this.id = id;
    this.content = value.map(DocumentJson::write).orElse(NOTHING);
    this.stamp = stamp;
  }

  Key key() {
    return id;
  }

  Optional<FieldValue> value() {
    return content.equals(NOTHING)
        ? Optional.empty()
        : Optional.of(DocumentJson.read(content, FieldValue.class));
  }

  /** That of the change that filled it last. */
  long stamp() {
    return stamp;
  }
}
