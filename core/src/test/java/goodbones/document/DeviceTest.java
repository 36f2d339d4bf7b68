package goodbones.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/**
 * The interface has the same screens as the core: they are kept in the web module. Run with {@code
 * -Ddevices.write=true} to bring them up to the core.
 */
class DeviceTest {
  private static final Path KEPT = Path.of("../web/src/api/devices.json");

  @Test
  void theInterfaceHasTheSameScreens() throws IOException {
    StringBuilder json = new StringBuilder("{\n");
    for (Device device : Device.values()) {
      json.append(
          "  \"%s\": { \"width\": %d, \"screen\": %d }%s\n"
              .formatted(
                  device.word(),
                  device.width(),
                  device.height(),
                  device == Device.PHONE ? "" : ","));
    }
    json.append("}\n");
    if (Boolean.getBoolean("devices.write")) {
      Files.writeString(KEPT, json);
    }
    assertThat(Files.readString(KEPT))
        .as("run mvn -pl core test -Dtest=DeviceTest -Ddevices.write=true")
        .isEqualTo(json.toString());
  }
}
