package goodbones.server.history;

import java.util.Optional;
import org.springframework.data.repository.CrudRepository;

interface EditStepRepository extends CrudRepository<EditStep, Long> {
  Optional<EditStep> findFirstByDocumentIdAndUndoneFalseOrderByIdDesc(String documentId);

  Optional<EditStep> findFirstByDocumentIdAndUndoneTrueOrderByIdAsc(String documentId);

  void deleteByDocumentIdAndUndoneTrue(String documentId);
}
