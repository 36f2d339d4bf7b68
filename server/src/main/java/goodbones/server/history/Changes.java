package goodbones.server.history;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was changed in a document from version to version, by whom, and which nodes it touched. */
@Service
public class Changes {
  /**
   * One change.
   *
   * @param touched ids of the nodes, as shown
   */
  public record Change(String who, String label, Set<String> touched) {
    public Change {
      touched = Set.copyOf(touched);
    }
  }

  /** Whoever works on a state that is older than this loads the newest one. */
  private static final int KEPT = 300;

  private static final int LABEL_LIMIT = 200;
  private final DocumentChangeRepository changes;

  Changes(DocumentChangeRepository changes) {
    this.changes = changes;
  }

  /** How the changes of a page, or of a shared part, are found. */
  public static String ofPage(String id) {
    return "page:" + id;
  }

  /** Notes a change that led to a version. */
  @Transactional
  public void made(String documentId, long version, Change change) {
    String label =
        change.label().length() > LABEL_LIMIT
            ? change.label().substring(0, LABEL_LIMIT)
            : change.label();
    changes.save(
        new DocumentChange(documentId, version, new Change(change.who(), label, change.touched())));
    if (version % KEPT == 0) {
      changes.deleteByDocumentIdAndVersionLessThan(documentId, version - KEPT);
    }
  }

  /**
   * What was changed after a version.
   *
   * @return empty if not every change since then is known
   */
  @Transactional(readOnly = true)
  public Optional<List<Change>> since(String documentId, long version, long now) {
    List<DocumentChange> since =
        changes.findByDocumentIdAndVersionGreaterThanOrderByVersion(documentId, version);
    return since.size() == now - version
        ? Optional.of(since.stream().map(DocumentChange::change).toList())
        : Optional.empty();
  }
}
