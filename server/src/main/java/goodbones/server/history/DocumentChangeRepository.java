package goodbones.server.history;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface DocumentChangeRepository extends CrudRepository<DocumentChange, Long> {
  List<DocumentChange> findByDocumentIdAndVersionGreaterThanOrderByVersion(
      String documentId, long version);

  void deleteByDocumentIdAndVersionLessThan(String documentId, long version);
}
