package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.server.coverage.DrawnAnew;
import goodbones.server.survey.FullSurvey;
import jakarta.persistence.EntityManagerFactory;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** What the survey finds after any edits, and how it is mended. */
@ServerTest
class SurveyApiTest {
  @Autowired private MockMvc mvc;
  @Autowired private ApplicationContext beans;
  private Api api;

  @BeforeEach
  void setUp() {
    api = new Api(mvc);
  }

  /** Edits of everything that the survey reads, in any order, as often as one likes. */
  private List<Runnable> edits(String site, Random random) {
    String words = "Said " + random.nextInt(5);
    String page = List.of("tv-home", "tv-waiting", "tv-how").get(random.nextInt(3));
    return List.of(
        () -> api.field("tv-home", "tv-opening/so-heading", "words", words),
        () ->
            api.finish(
                "type",
                "VALUE",
                "site",
                site,
                "token",
                "t-accent",
                "value",
                random.nextBoolean() ? "#1f5a7a" : "#7a3b1f"),
        () -> api.field("tv-home", "tv-opening/so-picture", "picture", "stand-in"),
        () -> api.field("tv-home", "tv-opening/so-button", "link", "page:" + page),
        () ->
            api.editPage("tv-how", "type", "ADD", "node", "tv-how", "kind", "section", "value", ""),
        () ->
            api.editPage(
                "tv-how", "type", "PLACE", "node", "tv-how", "before", "", "piece", "st-cards"),
        () ->
            api.finish(
                "type",
                "VALUE",
                "site",
                site,
                "token",
                "t-text",
                "value",
                random.nextBoolean() ? "#24331f" : "#b9c4b4"),
        () -> api.turn("tv-how", "undo"),
        () -> api.write("/api/pages/tv-waiting/take-away", Map.of("leadsTo", "tv-how")),
        () -> api.write("/api/sites/" + site + "/gone/tv-waiting/bring-back", Map.of()),
        () ->
            api.patch(
                "/api/pictures/plots-in-june", Map.of("alt", random.nextBoolean() ? "" : words)),
        () ->
            api.editPage(
                "tv-home",
                "type",
                "FIELD",
                "node",
                "tv-opening/so-picture",
                "field",
                "picture",
                "value",
                "plots-in-june",
                "alt",
                "",
                "decoration",
                random.nextBoolean()),
        () ->
            api.say(
                page,
                words,
                "/" + words.toLowerCase(Locale.ROOT).replace(' ', '-'),
                "page",
                random.nextBoolean()),
        () -> api.say("tv-waiting", "Waiting list", "/waiting-list", "contact", true),
        () ->
            api.rules(
                site,
                random.nextBoolean()
                    ? List.of()
                    : List.of(Api.ruleWith("header", "", "site", "", "st-header-line"))),
        () -> {
          long version = api.read("/api/sites/" + site + "/menus").body().path("version").asLong();
          api.put(
              "/api/sites/" + site + "/menus",
              Api.parts("version", version, "menus", List.of(Api.menu("Main", Api.item(page)))));
        },
        () -> {
          JsonNode said = api.read("/api/sites/" + site + "/details").body();
          Map<String, Object> other = new LinkedHashMap<>();
          said.properties().forEach(each -> other.put(each.getKey(), each.getValue()));
          other.put("phone", random.nextBoolean() ? "" : "01632 960 338");
          api.put("/api/sites/" + site + "/details", other);
        });
  }

  private List<JsonNode> findings(String site, String rule) {
    return api.read("/api/sites/" + site + "/survey")
        .body()
        .valueStream()
        .filter(each -> each.path("word").asString().equals(rule))
        .flatMap(each -> each.path("findings").valueStream())
        .toList();
  }

  @Test
  void whatARuleFindsIsMendedInOneEditOfEachPageWhichCanBeUndone() {
    String site = "quillon-clocks";
    int before = findings(site, "phone-text").size();
    for (String page : List.of("qc-home", "qc-bench")) {
      for (int i = 0; i < 2; i++) {
        String section = added(page, page, "section");
        String text = added(page, section, "text");
        api.field(page, text, "words", "Small words " + i);
        Map<String, Object> small =
            Api.parts(
                "node", text,
                "property", "font-size",
                "device", "phone",
                "state", "normal",
                "value", "8px");
        assertThat(api.editPage(page, "type", "SETTINGS", "settings", List.of(small)).status())
            .isEqualTo(200);
      }
    }
    assertThat(findings(site, "phone-text"))
        .hasSize(before + 4)
        .allMatch(finding -> finding.path("mendable").asBoolean());
    JsonNode first = findings(site, "phone-text").get(0);
    String alone = "/api/sites/" + site + "/survey/phone-text/mend?document=%s&node=%s";
    String at = first.path("document").asString();
    JsonNode one = api.write(alone.formatted(at, first.path("node").asString()), Map.of()).body();
    assertThat(one.valueStream().map(each -> each.path("document").asString())).containsExactly(at);
    assertThat(findings(site, "phone-text")).hasSize(before + 3).doesNotContain(first);
    assertThat(api.write(alone.formatted(at, "nobody"), Map.of()).body()).isEmpty();
    assertThat(api.write(alone.formatted("nowhere", ""), Map.of()).body()).isEmpty();
    api.write("/api/pages/" + at + "/undo", Map.of("version", one.get(0).path("version").asLong()));
    assertThat(findings(site, "phone-text")).hasSize(before + 4);
    String found = FullSurvey.remembered(beans, site);
    JsonNode mended = api.write("/api/sites/" + site + "/survey/phone-text/mend", Map.of()).body();
    assertThat(mended.valueStream().map(each -> each.path("document").asString()))
        .contains("qc-home", "qc-bench");
    assertThat(findings(site, "phone-text")).isEmpty();
    for (JsonNode each : mended) {
      assertThat(
              api.write(
                      "/api/pages/" + each.path("document").asString() + "/undo",
                      Map.of("version", each.path("version").asLong()))
                  .status())
          .isEqualTo(200);
    }
    assertThat(FullSurvey.remembered(beans, site)).isEqualTo(found);
    assertThat(api.write("/api/sites/" + site + "/survey/nothing/mend", Map.of()).status())
        .isEqualTo(422);
  }

  @Test
  void whatIsRememberedIsToldWithoutReadingADocument() {
    String site = "saltmarsh-ferries";
    String found = FullSurvey.remembered(beans, site);
    assertThat(found).contains("FindingView");
    Statistics asked =
        beans.getBean(EntityManagerFactory.class).unwrap(SessionFactory.class).getStatistics();
    asked.setStatisticsEnabled(true);
    try {
      assertThat(FullSurvey.remembered(beans, site)).isEqualTo(found);
      for (String entity : asked.getEntityNames()) {
        if (entity.endsWith("PageEntity")) {
          assertThat(asked.getEntityStatistics(entity).getLoadCount()).as(entity).isZero();
        }
      }
    } finally {
      asked.setStatisticsEnabled(false);
    }
  }

  /** Adds a thing and says its id. */
  private String added(String page, String parent, String kind) {
    JsonNode made =
        api.editPage(page, "type", "ADD", "node", parent, "kind", kind, "value", "").body();
    return made.path("made").get(0).asString();
  }

  @Test
  void aSurveyAndAPageAfterAnyEditsAreWhatTheyAreAnew() {
    String site = "tern-valley";
    Random random = new Random(11);
    Set<String> told = new HashSet<>();
    Set<String> drawn = new HashSet<>();
    for (int i = 0; i < 60; i++) {
      List<Runnable> edits = edits(site, random);
      edits.get(random.nextInt(edits.size())).run();
      String remembered = FullSurvey.remembered(beans, site);
      assertThat(remembered).as("after %d edits", i + 1).isEqualTo(FullSurvey.of(beans, site));
      told.add(remembered);
      String home = api.text("/api/pages/tv-home/frame");
      assertThat(home).as("after %d edits", i + 1).isEqualTo(DrawnAnew.page(beans, "tv-home"));
      drawn.add(home);
    }
    assertThat(drawn).as("the edits are seen").hasSizeGreaterThan(8);
    List<String> ofSite = new ArrayList<>();
    api.read("/api/sites/" + site + "/survey")
        .body()
        .forEach(rule -> rule.path("findings").forEach(each -> ofSite.add(each.toString())));
    Set<String> ofPages = new HashSet<>();
    for (JsonNode page : api.read("/api/sites/" + site).body().path("pages")) {
      api.read("/api/pages/" + page.path("id").asString() + "/survey")
          .body()
          .forEach(rule -> rule.path("findings").forEach(each -> ofPages.add(each.toString())));
    }
    assertThat(ofPages).as("page by page").containsExactlyInAnyOrderElementsOf(ofSite);
    assertThat(api.read("/api/pages/nowhere/survey").status()).isEqualTo(404);
    assertThat(told).as("the edits come to something").hasSizeGreaterThan(8);
  }

  @Test
  void whatIsNotSetIsNamedSoThatItCanBeSetFromWhereItIsMissed() {
    String site = "saltmarsh-ferries";
    assertThat(unset(site)).doesNotContain("phone");
    for (String phone : List.of("", "01632 960 338")) {
      JsonNode said = api.read("/api/sites/" + site + "/details").body();
      Map<String, Object> other = new HashMap<>();
      said.properties().forEach(each -> other.put(each.getKey(), each.getValue()));
      other.put("phone", phone);
      assertThat(api.put("/api/sites/" + site + "/details", other).status()).isEqualTo(200);
      assertThat(unset(site).contains("phone")).isEqualTo(phone.isEmpty());
    }
  }

  private List<String> unset(String site) {
    return findings(site, "bound").stream()
        .map(finding -> finding.path("unset").asString())
        .toList();
  }

  @Test
  void theEdgesOfEverySiteStandOnOneLine() {
    for (JsonNode site : api.read("/api/sites").body()) {
      assertThat(findings(site.path("id").asString(), "edges")).isEmpty();
    }
  }
}
