package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.exchange.TokensFile;
import goodbones.exchange.TokensImport;
import goodbones.style.Finishes;
import goodbones.style.FinishesEditor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Outside check: token files as others publish them come in and go out the same. All files of the
 * npm package dtcg-examples 1.1.3 (seven whole sets in the format of 2025.10, MIT) and the set of
 * open-props 1.7.23 (MIT), as npm laid them down for the web part.
 */
class PublishedTokenFilesTest {
  private static final Path PACKAGES = Path.of("../web/node_modules");
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS).build();
  private final AtomicInteger next = new AtomicInteger();

  private static List<Path> files() throws IOException {
    List<Path> files = new ArrayList<>();
    try (Stream<Path> all = Files.walk(PACKAGES.resolve("dtcg-examples"))) {
      all.filter(file -> file.toString().endsWith(".tokens.json")).sorted().forEach(files::add);
    }
    files.add(PACKAGES.resolve("open-props/open-props.tokens.json"));
    return files;
  }

  private static Finishes bare() {
    return Finishes.of(List.of(), List.of(), Map.of());
  }

  private Finishes with(Finishes house, String json) {
    TokensImport.ForHouse taken =
        TokensImport.intoHouse(house, TokensFile.read(json), () -> "t" + next.incrementAndGet());
    return FinishesEditor.apply(house, taken.edit()).finishes();
  }

  /** Numbers by what they are worth: 1.0 is 1. */
  private static boolean same(JsonNode a, JsonNode b) {
    if (a.isNumber() && b.isNumber()) {
      return a.decimalValue().compareTo(b.decimalValue()) == 0;
    }
    if (a.isObject() && b.isObject()) {
      return a.size() == b.size()
          && a.properties().stream()
              .allMatch(e -> b.has(e.getKey()) && same(e.getValue(), b.get(e.getKey())));
    }
    if (a.isArray() && b.isArray()) {
      boolean all = a.size() == b.size();
      for (int i = 0; all && i < a.size(); i++) {
        all = same(a.get(i), b.get(i));
      }
      return all;
    }
    return a.equals(b);
  }

  /** Where two files first differ, for the message. */
  private static String difference(String at, JsonNode a, JsonNode b) {
    if (a.isObject() && b.isObject()) {
      for (Map.Entry<String, JsonNode> e : a.properties()) {
        if (!b.has(e.getKey())) {
          return at + "/" + e.getKey() + " is gone";
        }
        String inside = difference(at + "/" + e.getKey(), e.getValue(), b.get(e.getKey()));
        if (!inside.isEmpty()) {
          return inside;
        }
      }
    }
    return same(a, b) ? "" : at + ": " + a + " came out as " + b;
  }

  @Test
  void filesThatOthersPublishComeInAndGoOutTheSame() throws IOException {
    List<String> wrong = new ArrayList<>();
    int tokens = 0;
    for (Path file : files()) {
      String json = Files.readString(file);
      Finishes house = with(bare(), json);
      tokens += house.tokens().size();
      JsonNode in = JSON.readTree(json);
      JsonNode out = JSON.readTree(TokensFile.write(house));
      if (!same(in, out)) {
        wrong.add(file.getFileName() + ": " + difference("", in, out));
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(files()).hasSizeGreaterThan(80);
    assertThat(tokens).isGreaterThan(1500);
  }

  /** The files of a set refer to each other; together they hold what each of them says. */
  @Test
  void aWholeSetComesInFileByFile() throws IOException {
    for (String set : List.of("microsoft-fluent", "shopify-polaris")) {
      Finishes house = bare();
      int alone = 0;
      List<Path> files;
      try (Stream<Path> all = Files.list(PACKAGES.resolve("dtcg-examples").resolve(set))) {
        files = all.filter(file -> file.toString().endsWith(".tokens.json")).sorted().toList();
      }
      for (Path file : files) {
        house = with(house, Files.readString(file));
        alone = Math.max(alone, TokensFile.read(Files.readString(file)).tokens().size());
      }
      assertThat(house.tokens().size()).as(set).isGreaterThan(alone);
      Finishes again = with(bare(), TokensFile.write(house));
      assertThat(again.tokens())
          .as(set)
          .usingElementComparator((a, b) -> a.name().compareTo(b.name()))
          .containsAll(house.tokens());
    }
  }

  private static List<Path> of(Path set) throws IOException {
    try (Stream<Path> all = Files.walk(set)) {
      return all.filter(file -> file.toString().endsWith(".tokens.json")).sorted().toList();
    }
  }

  /** What files say together; of two tokens of one name the later one, whole. */
  private static JsonNode merged(JsonNode one, JsonNode other) {
    boolean groups = one.isObject() && other.isObject();
    if (!groups || one.has("$value") || other.has("$value")) {
      return other;
    }
    ObjectNode both = ((ObjectNode) one).deepCopy();
    for (Map.Entry<String, JsonNode> each : other.properties()) {
      JsonNode there = both.get(each.getKey());
      boolean group = there != null && !each.getKey().startsWith("$");
      both.set(each.getKey(), group ? merged(there, each.getValue()) : each.getValue());
    }
    return both;
  }

  /** Every file of a system at once, in the order of their names and the other way round. */
  @Test
  void wholeSystemsComeInAtOnceAndGoOutTheSameToTheLastKey() throws IOException {
    List<Path> sets;
    try (Stream<Path> all = Files.list(PACKAGES.resolve("dtcg-examples"))) {
      sets = all.filter(Files::isDirectory).filter(s -> !s.endsWith("node_modules")).toList();
    }
    int systems = 0;
    for (Path set : sets) {
      List<Path> files = of(set);
      if (files.size() < 2) {
        continue;
      }
      systems++;
      for (boolean backwards : List.of(false, true)) {
        List<String> texts = new ArrayList<>();
        for (Path file : files) {
          texts.add(backwards ? 0 : texts.size(), Files.readString(file));
        }
        JsonNode said = JSON.readTree("{}");
        for (String text : texts) {
          said = merged(said, JSON.readTree(text));
        }
        TokensImport.ForHouse taken =
            TokensImport.intoHouse(bare(), texts, () -> "t" + next.incrementAndGet());
        Finishes house = FinishesEditor.apply(bare(), taken.edit()).finishes();
        JsonNode out = JSON.readTree(TokensFile.write(house));
        assertThat(difference("", said, out)).as("%s %s", set, taken.notes()).isEmpty();
        assertThat(same(said, out)).as("%s", set).isTrue();
        assertThat(house.tokens()).as("%s", set).isNotEmpty();
      }
    }
    assertThat(systems).isEqualTo(7);
  }
}
