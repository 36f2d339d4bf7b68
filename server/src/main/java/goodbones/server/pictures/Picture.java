package goodbones.server.pictures;

import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.List;

/** A picture with its file and what is said of it. */
@Entity
public class Picture {
  @Id private String id = "";

  /** Whose it is; empty for the house's, which are there for all. */
  private String siteId = "";

  @Embedded private StoredFile file = new StoredFile();

  /** Whether the file is one that was written from what is allowed. */
  private boolean rebuilt = true;

  /** Counted up with every new file. */
  private int fileVersion;

  private String alt = "";
  private boolean decoration;
  private String tags = "";

  @Column(name = "focus_x")
  private double focusX = 0.5;

  @Column(name = "focus_y")
  private double focusY = 0.5;

  /** Whether it is offered no more. */
  private boolean away;

  protected Picture() {}

  Picture(String id, String siteId, StoredFile file) {
    this.id = id;
    this.siteId = siteId;
    this.file = file;
  }

  void rebuild(StoredFile anew) {
    file = anew;
    rebuilt = true;
  }

  /** Keeps the file as one that no page shows. */
  void setAside() {
    file = file.aside();
    rebuilt = true;
  }

  /** From now on it has another file. */
  void replace(StoredFile anew, int version) {
    file = anew;
    fileVersion = version;
    rebuilt = true;
  }

  void give(String site) {
    siteId = site;
  }

  void describe(Described said) {
    file = file.named(said.fileName());
    alt = said.alt();
    decoration = said.decoration();
    tags = String.join(" ", said.tags());
    focusX = said.focusX();
    focusY = said.focusY();
    away = said.away();
  }

  /**
   * What is said of a picture.
   *
   * @param fileName with the ending of its kind
   * @param alt its alternative text; empty if it has none
   * @param decoration whether it says nothing on purpose
   * @param tags words without spaces
   * @param focusX what is to be seen of it when it is cropped, as a share of its width, 0 to 1
   * @param focusY the same down
   * @param away whether it is offered no more
   */
  public record Described(
      String fileName,
      String alt,
      boolean decoration,
      List<String> tags,
      double focusX,
      double focusY,
      boolean away) {
    public Described {
      tags = List.copyOf(tags);
    }

    /** The same, put away. */
    public Described putAway() {
      return new Described(fileName, alt, decoration, tags, focusX, focusY, true);
    }
  }

  public Described described() {
    return new Described(
        file.fileName(),
        alt,
        decoration,
        tags.isEmpty() ? List.of() : List.of(tags.split(" ")),
        focusX,
        focusY,
        away);
  }

  public String id() {
    return id;
  }

  public String siteId() {
    return siteId;
  }

  public int fileVersion() {
    return fileVersion;
  }

  public StoredFile file() {
    return file;
  }

  public String fileName() {
    return file.fileName();
  }

  public String mediaType() {
    return file.mediaType();
  }

  public int width() {
    return file.width();
  }

  public int height() {
    return file.height();
  }

  public byte[] bytes() {
    return file.bytes();
  }
}
