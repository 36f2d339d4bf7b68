package goodbones.document;

import java.util.List;
import java.util.stream.Collectors;

/** An edit or a document that makes no sense; everything wrong is listed at once. */
public final class Refused extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private final transient List<Fault> faults;

  public Refused(List<Fault> faults) {
    super(faults.stream().map(Fault::toString).collect(Collectors.joining("; ")));
    this.faults = List.copyOf(faults);
  }

  public static Refused at(Node node, String message) {
    return new Refused(List.of(new Fault(node.id(), node.title(), message)));
  }

  /** The target of an edit is not there (any more). */
  public static Refused gone(NodeId id) {
    return new Refused(
        List.of(
            new Fault(
                id,
                "Not found",
                "The thing that this edit is for ("
                    + id
                    + ") is not here any more; nothing was changed")));
  }

  public List<Fault> faults() {
    return faults;
  }
}
