package goodbones.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** Colours against values from outside; each file names its source in its first line. */
class ReferenceTest {
  private static List<String[]> rows(String file) throws IOException {
    try (InputStream in = ReferenceTest.class.getResourceAsStream("/reference/" + file)) {
      return new String(Objects.requireNonNull(in, file).readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .filter(line -> !line.startsWith("#"))
          .map(line -> line.split(";"))
          .toList();
    }
  }

  @Test
  void ciede2000AgreesWithThe34PairsOfSharmaWuAndDalal() throws IOException {
    List<String[]> rows = rows("ciede2000.csv");
    assertThat(rows).hasSize(34);
    for (String[] row : rows) {
      double[] v = Arrays.stream(row).mapToDouble(Double::parseDouble).toArray();
      Lab one = new Lab(v[1], v[2], v[3]);
      Lab other = new Lab(v[4], v[5], v[6]);
      assertThat(one.ciede2000(other)).as("%s", (Object) row).isCloseTo(v[0], within(0.00005));
      assertThat(other.ciede2000(one)).as("%s", (Object) row).isCloseTo(v[0], within(0.00005));
    }
  }

  @Test
  void conversionsAndGamutMappingAgreeWithAReferenceLibrary() throws IOException {
    List<String[]> rows = rows("css-colours.csv");
    assertThat(rows).hasSize(450);
    for (String[] row : rows) {
      Colour colour = Colour.parse(row[0]);
      double[] v = Arrays.stream(row).skip(1).mapToDouble(Double::parseDouble).toArray();
      assertThat(colour.red()).as(row[0]).isCloseTo(v[0], within(0.25));
      assertThat(colour.green()).as(row[0]).isCloseTo(v[1], within(0.25));
      assertThat(colour.blue()).as(row[0]).isCloseTo(v[2], within(0.25));
      assertThat(colour.alpha()).as(row[0]).isCloseTo(v[3], within(0.001));
    }
  }
}
