package goodbones.server.publishing;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;

/** When a site was published last, and how much was written. */
@Entity
class Publication {
  @Id private String siteId = "";
  private Instant published = Instant.EPOCH;
  private int pages;
  private int written;

  protected Publication() {}

  Publication(String siteId, Instant published, int pages, int written) {
    this.siteId = siteId;
    this.published = published;
    this.pages = pages;
    this.written = written;
  }

  Instant published() {
    return published;
  }

  int pages() {
    return pages;
  }

  int written() {
    return written;
  }
}
