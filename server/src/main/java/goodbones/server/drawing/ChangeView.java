package goodbones.server.drawing;

import goodbones.document.Device;
import goodbones.propagation.NodeChange;
import java.util.List;

/**
 * What differs at one node between two drawings.
 *
 * @param type added, removed or changed
 * @param what the things that differ, in the interface's words
 */
public record ChangeView(
    String node, String title, String type, List<String> devices, List<String> what) {
  public static List<ChangeView> of(List<NodeChange> changes) {
    return changes.stream()
        .map(
            change ->
                new ChangeView(
                    change.node().value(),
                    change.title(),
                    change.type().name().toLowerCase(),
                    change.devices().stream().sorted().map(Device::word).toList(),
                    change.what()))
        .toList();
  }
}
