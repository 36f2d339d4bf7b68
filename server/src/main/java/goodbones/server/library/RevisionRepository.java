package goodbones.server.library;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface RevisionRepository extends CrudRepository<RevisionEntity, RevisionEntity.Key> {
  /** Those without their documents, the newest first. */
  @Query(
      "select new goodbones.server.library.RevisionInfo(r.id.number, r.note, r.released,"
          + " r.goneBackOn, coalesce(r.followedPiece, ''), coalesce(r.followedRevision, 0))"
          + " from RevisionEntity r where r.id.pieceId = :pieceId order by r.id.number desc")
  List<RevisionInfo> infos(String pieceId);

  /** The newest follow-up of a piece's releases in each piece that contains it. */
  @Query(
      "select new goodbones.server.library.PieceRevision(r.id.pieceId, max(r.id.number))"
          + " from RevisionEntity r where r.followedPiece = :piece and r.goneBackOn = false"
          + " group by r.id.pieceId")
  List<PieceRevision> newestFollowUps(String piece);

  /** The follow-ups of a release. */
  List<RevisionEntity> findByFollowedPieceAndFollowedRevision(String piece, int revision);
}
