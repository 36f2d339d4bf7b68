package goodbones.server.compositions;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.util.ArrayList;
import java.util.List;

/** A set of pages that somebody kept. */
@Entity
@Table(name = "site_set")
class SiteSetEntity {
  @Id private String id = "";
  private String name = "";
  private int position;

  @ElementCollection(fetch = FetchType.EAGER)
  @CollectionTable(name = "site_set_page", joinColumns = @JoinColumn(name = "set_id"))
  @OrderColumn(name = "position")
  private List<KeptPage> pages = new ArrayList<>();

  protected SiteSetEntity() {}

  SiteSetEntity(String id, String name, int position, List<SiteSets.SetPage> pages) {
    this.id = id;
    this.name = name;
    this.position = position;
    pages.forEach(
        page ->
            this.pages.add(new KeptPage(page.title(), CompositionEntity.Part.lines(page.parts()))));
  }

  /** A page of a set, with a piece to a line as in a composition. */
  @Embeddable
  static class KeptPage {
    private String title = "";
    private String pieces = "";

    protected KeptPage() {}

    KeptPage(String title, String pieces) {
      this.title = title;
      this.pieces = pieces;
    }
  }

  String id() {
    return id;
  }

  String name() {
    return name;
  }

  int position() {
    return position;
  }

  List<SiteSets.SetPage> pages() {
    return pages.stream()
        .map(page -> new SiteSets.SetPage(page.title, CompositionEntity.Part.of(page.pieces)))
        .toList();
  }

  void replace(String gone, String by) {
    pages.forEach(
        page ->
            page.pieces =
                CompositionEntity.Part.lines(
                    CompositionEntity.Part.replaced(
                        CompositionEntity.Part.of(page.pieces), gone, by)));
  }
}
