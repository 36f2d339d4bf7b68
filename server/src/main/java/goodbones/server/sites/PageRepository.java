package goodbones.server.sites;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PageRepository extends JpaRepository<PageEntity, String> {
  List<PageEntity> findBySiteIdOrderByAddress(String siteId);

  /** Pages with placements that do not know yet what they are settled on. */
  @Query(
      "select p from PageEntity p where p.document like '%\"pieceId\"%'"
          + " and p.document not like '%\"settled\":%'")
  List<PageEntity> unsettled();
}
