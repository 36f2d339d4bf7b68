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

  /** The newest follow-up of each piece's releases in each piece that contains it. */
  @Query(
      "select new goodbones.server.library.FollowingRevision(r.followedPiece, r.id.pieceId,"
          + " max(r.id.number)) from RevisionEntity r"
          + " where r.followedPiece is not null and r.goneBackOn = false"
          + " group by r.followedPiece, r.id.pieceId")
  List<FollowingRevision> newestFollowUps();

  /** The follow-ups of a release. */
  List<RevisionEntity> findByFollowedPieceAndFollowedRevision(String piece, int revision);
}
