package goodbones.server.compositions;

import goodbones.server.compositions.CompositionEntity.Part;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.sites.PageInfo;
import goodbones.server.sites.Sites;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sets of pages that a client's site can start from: those that ship, and those kept here. */
@Service
class SiteSets {
  private final SiteSetRepository repository;
  private final CompositionRepository compositions;
  private final Compositions starts;
  private final Sites sites;

  SiteSets(
      SiteSetRepository repository,
      CompositionRepository compositions,
      Compositions starts,
      Sites sites) {
    this.repository = repository;
    this.compositions = compositions;
    this.starts = starts;
    this.sites = sites;
  }

  /** A page of a set: its title, and what it begins with. */
  record SetPage(String title, List<Part> parts) {}

  /**
   * @param kept whether it was kept here and can be taken away
   */
  private record SiteSet(String id, String name, boolean kept, List<SetPage> pages) {}

  /**
   * A page of a set that a client does not have yet.
   *
   * @param place which page of the set it is, counted from 0
   */
  record LackingPage(int place, String title) {}

  /**
   * A set of pages.
   *
   * @param kept whether it was kept here and can be taken away
   * @param pages those that the client does not have yet, in order
   */
  record SetView(String id, String name, boolean kept, List<LackingPage> pages) {}

  private List<SiteSet> all() {
    List<SiteSet> all = new ArrayList<>();
    for (FirstSets.FirstSet set : FirstSets.ALL) {
      List<SetPage> pages = new ArrayList<>();
      for (FirstSets.FirstPage page : set.pages()) {
        compositions
            .findById(page.composition())
            .ifPresent(one -> pages.add(new SetPage(page.title(), one.parts())));
      }
      all.add(new SiteSet(set.id(), set.name(), false, pages));
    }
    repository
        .findAllByOrderByPosition()
        .forEach(set -> all.add(new SiteSet(set.id(), set.name(), true, set.pages())));
    return all;
  }

  private SiteSet set(String id) {
    return all().stream()
        .filter(one -> one.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new BadInput("set", "There is no set of pages “" + id + "”"));
  }

  /** The sets of which a client lacks some page. */
  @Transactional(readOnly = true)
  List<SetView> all(String siteId) {
    return all().stream()
        .map(set -> new SetView(set.id(), set.name(), set.kept(), lacking(siteId, set)))
        .filter(view -> !view.pages().isEmpty())
        .toList();
  }

  /** The pages of a set that a client has none of the same title for. */
  private List<LackingPage> lacking(String siteId, SiteSet set) {
    Set<String> titles = new HashSet<>();
    sites.pages(siteId).forEach(page -> titles.add(same(page.title())));
    List<LackingPage> lacking = new ArrayList<>();
    for (int place = 0; place < set.pages().size(); place++) {
      String title = set.pages().get(place).title();
      if (titles.add(same(title))) {
        lacking.add(new LackingPage(place, title));
      }
    }
    return lacking;
  }

  private static String same(String title) {
    return title.toLowerCase(Locale.ROOT);
  }

  /** A page of a set as a page of a client would begin with it. */
  @Transactional(readOnly = true)
  String frame(String siteId, String setId, int place) {
    List<SetPage> pages = set(setId).pages();
    if (place < 0 || place >= pages.size()) {
      throw new NotFound("page of the set", String.valueOf(place));
    }
    return starts.frame(siteId, pages.get(place).title(), pages.get(place).parts());
  }

  /**
   * Makes the pages of a set that the client does not have yet.
   *
   * @return their ids, in order
   * @throws BadInput if there is no such set, or as {@link Compositions#pageFrom}
   */
  @Transactional
  List<String> pagesFrom(String siteId, String setId) {
    SiteSet set = set(setId);
    return lacking(siteId, set).stream()
        .map(page -> starts.pageFrom(siteId, page.title(), set.pages().get(page.place()).parts()))
        .toList();
  }

  /**
   * Keeps the pages of a site as a set, after the others: those on which something stands from the
   * library.
   *
   * @throws BadInput if there is no name, or there is no such page
   */
  @Transactional
  void keep(String siteId, String name) {
    String plain = Compositions.plain(name, "set");
    List<SetPage> pages = new ArrayList<>();
    for (PageInfo page : sites.pageInfos(siteId)) {
      List<Part> parts = starts.parts(sites.page(page.id()).root());
      if (!parts.isEmpty()) {
        pages.add(new SetPage(page.title(), parts));
      }
    }
    if (pages.isEmpty()) {
      throw new BadInput(
          "site", "No section of these pages is from the library: keep the sections first");
    }
    int last = repository.findAll().stream().mapToInt(SiteSetEntity::position).max().orElse(0);
    repository.save(new SiteSetEntity(UUID.randomUUID().toString(), plain, last + 1, pages));
  }

  /** Takes a set away; pages that started from it stay as they are. */
  @Transactional
  void remove(String id) {
    repository.delete(repository.findById(id).orElseThrow(() -> new NotFound("set of pages", id)));
  }
}
