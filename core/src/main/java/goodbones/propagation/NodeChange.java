package goodbones.propagation;

import goodbones.document.Device;
import goodbones.document.NodeId;
import java.util.List;
import java.util.Set;

/**
 * How one shown node differs between before and after.
 *
 * @param devices the devices on which it differs; all of them where structure or content does
 * @param what the things that differ, in the interface's words
 */
public record NodeChange(
    NodeId node, String title, Type type, Set<Device> devices, List<String> what) {
  public NodeChange {
    devices = Set.copyOf(devices);
    what = List.copyOf(what);
  }

  /** Whether the node came, went, or changed. */
  public enum Type {
    ADDED,
    REMOVED,
    CHANGED
  }
}
