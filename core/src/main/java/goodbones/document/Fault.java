package goodbones.document;

/** One thing wrong in a document: at which node, and how to mend it. */
public record Fault(NodeId node, String nodeTitle, String message) {
  @Override
  public String toString() {
    return nodeTitle + ": " + message;
  }
}
