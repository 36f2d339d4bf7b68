package goodbones.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LinksTest {
  private static final PageTree TREE =
      new PageTree(
          List.of(
              new SitePage("p1", "Start", "/", PageKind.PAGE, "", true),
              new SitePage("p2", "News", "/news", PageKind.NEWS, "", true)));
  private static final Links LINKS =
      new Links(
          TREE,
          new Details("+44 (0)1632 960", "a@b.example", "", "", List.of()),
          Map.of("p2", Map.of("s1", "latest")),
          Map.of("/old", "p2", "/gone", "p9"),
          Set.of("f1"));

  @Test
  void aReferenceLeadsToWhereItsPageIsNow() {
    assertThat(LINKS.address("page:p2")).contains("/news");
    assertThat(LINKS.address("page:p2#s1")).contains("/news#latest");
    assertThat(LINKS.address("page:p2#gone")).contains("/news");
    assertThat(LINKS.address("page:p9")).isEmpty();
    assertThat(LINKS.address("role:news")).contains("/news");
    assertThat(LINKS.address("role:home")).as("no page is said to be home").contains("/");
    assertThat(LINKS.address("role:contact")).isEmpty();
    assertThat(LINKS.address("detail:phone")).contains("tel:+4401632960");
    assertThat(LINKS.address("detail:mail")).contains("mailto:a@b.example");
    assertThat(LINKS.address("/old#x")).contains("/news#x");
    assertThat(LINKS.address("/gone")).isEmpty();
    assertThat(LINKS.address("https://example.org")).contains("https://example.org");
    assertThat(LINKS.address("file:f1")).contains("file:f1");
    assertThat(LINKS.address("file:f2")).as("a file that is gone").isEmpty();
    assertThat(LINKS.address("")).isEmpty();
  }

  private static Links leading(Map<String, String> former) {
    return Links.of(TREE, former);
  }

  @Test
  void whatLedToAPageThatIsGoneLeadsToTheOneThatStandsForIt() {
    Links links = leading(Map.of("gone", "older", "older", "p2", "/gone", "gone"));
    assertThat(links.address("page:gone")).contains("/news");
    assertThat(links.address("page:gone#s")).contains("/news");
    assertThat(links.address("/gone")).contains("/news");
    assertThat(leading(Map.of("a", "b", "b", "a")).address("page:a")).as("a ring").isEmpty();
    Menu menu =
        new Menu(
            "Main",
            List.of(
                new Menu.Item("", "page:p1", List.of(new Menu.Item("", "page:gone", List.of())))));
    assertThat(links.leads(menu, "p2")).isTrue();
    assertThat(LINKS.leads(menu, "p2")).isFalse();
  }

  /** The law: nothing that is done to pages makes a link lead to another page than before. */
  @Test
  void noRenameOrMoveSendsALinkElsewhere() {
    for (long seed = 0; seed < 500; seed++) {
      Random random = new Random(seed);
      List<SitePage> pages = new ArrayList<>();
      for (int i = 0; i < 6; i++) {
        pages.add(new SitePage("p" + i, "Page " + i, "/a" + i, PageKind.PAGE, "", true));
      }
      Map<String, String> former = new HashMap<>();
      for (int step = 0; step < 12; step++) {
        int at = random.nextInt(pages.size());
        SitePage page = pages.get(at);
        String address = "/a" + random.nextInt(12);
        boolean taken = pages.stream().anyMatch(other -> other.address().equals(address));
        if (!taken) {
          former.put(page.address(), page.id());
          former.remove(address);
          pages.set(
              at,
              new SitePage(
                  page.id(),
                  page.title() + "x",
                  address,
                  page.kind(),
                  pages.get(random.nextInt(pages.size())).id(),
                  true));
        }
        Links links = Links.of(new PageTree(pages), former);
        for (SitePage each : pages) {
          assertThat(links.address("page:" + each.id())).contains(each.address());
        }
        former.forEach(
            (before, id) ->
                assertThat(links.page(before).map(SitePage::id)).as("%s", before).contains(id));
      }
    }
  }

  @Test
  void addressesAreReadAndTyped() {
    assertThat(Addresses.of("Réparations & délais", "page")).isEqualTo("reparations-delais");
    assertThat(Addresses.of("Змеи", "page")).isEqualTo("змеи");
    assertThat(Addresses.of("…", "page")).isEqualTo("page");
    assertThat(Addresses.of("２ kites", "page")).as("full-width digits").isEqualTo("2-kites");
  }

  @Test
  void sectionsKeepTheirAddressesAndHaveNoneTwice() {
    List<Addresses.Named> named =
        List.of(
            new Addresses.Named("a", "Our fares"),
            new Addresses.Named("b", "Our fares"),
            new Addresses.Named("c", ""));
    Map<String, String> first = Addresses.sections(named, Map.of());
    assertThat(first).containsValues("our-fares", "our-fares-2", "section");
    List<Addresses.Named> later =
        List.of(
            new Addresses.Named("d", "Our fares"),
            new Addresses.Named("b", "Quite another"),
            new Addresses.Named("a", "Renamed"));
    assertThat(Addresses.sections(later, first))
        .containsEntry("a", "our-fares")
        .containsEntry("b", "our-fares-2")
        .containsEntry("d", "our-fares-3");
  }
}
