package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Node;
import goodbones.document.StyleValue;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.style.FinishesEditor;
import goodbones.style.FinishesStep;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** What was released in a transaction that was taken back is not seen again under its number. */
@ServerTest
class RolledBackTest {
  private static final String PIECE = "opening-band";
  @Autowired private Pieces pieces;
  @Autowired private FinishesStore finishes;
  @Autowired private PlatformTransactionManager transactions;

  /** Releases the piece under a new name for its root, and reads it as anybody would. */
  private Node released(String name, boolean keep) {
    return new TransactionTemplate(transactions)
        .execute(
            status -> {
              PieceState piece = pieces.get(PIECE);
              pieces.edit(PIECE, piece.version(), piece.root().withName(name));
              int next = pieces.release(PIECE, pieces.get(PIECE).version(), name, 1);
              if (!keep) {
                status.setRollbackOnly();
              }
              return pieces.revision(PIECE, next).root();
            });
  }

  @Test
  void aRevisionOfAPieceIsNoPhantom() {
    int before = pieces.get(PIECE).current();
    assertThat(released("Phantom", false).name()).isEqualTo("Phantom");
    assertThat(pieces.get(PIECE).current()).isEqualTo(before);
    assertThat(pieces.get(PIECE).root().name()).isNotEqualTo("Phantom");
    assertThat(released("Real", true).name()).isEqualTo("Real");
    assertThat(pieces.revision(PIECE, before + 1).root().name()).isEqualTo("Real");
  }

  private String finished(String value, boolean keep) {
    return new TransactionTemplate(transactions)
        .execute(
            status -> {
              finishes.edit(
                  new FinishesStep.House(
                      FinishesEditor.value(finishes.draft(), "t-radius", StyleValue.parse(value))),
                  "set the radius");
              int next = finishes.release(value);
              if (!keep) {
                status.setRollbackOnly();
              }
              return String.valueOf(
                  finishes.revision(next).token("t-radius").orElseThrow().value());
            });
  }

  @Test
  void aRevisionOfTheFinishesIsNoPhantom() {
    int before = finishes.current();
    assertThat(finished("91px", false)).contains("91px");
    assertThat(finishes.draft().token("t-radius").orElseThrow().value().toString())
        .doesNotContain("91px");
    assertThat(finished("92px", true)).contains("92px");
    assertThat(finishes.revision(before + 1).token("t-radius").orElseThrow().value().toString())
        .contains("92px");
  }
}
