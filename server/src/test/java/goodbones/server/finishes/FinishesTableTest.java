package goodbones.server.finishes;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.StyleValue;
import goodbones.server.ServerTest;
import goodbones.server.history.History;
import goodbones.server.reach.SiteLooks;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesEditor;
import goodbones.style.FinishesStep;
import goodbones.style.Token;
import goodbones.style.TokenProblem;
import goodbones.style.TokenType;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Rows that are kept from the table before are those that would be made anew. */
@ServerTest
class FinishesTableTest {
  private static final int STEPS = 60;
  @Autowired private FinishesTable table;
  @Autowired private FinishesStore store;
  @Autowired private Sites sites;
  @Autowired private SiteLooks looks;

  private FinishesStep step(Random random, int number) {
    List<Token> colours =
        store.draft().tokens().stream().filter(t -> t.type() == TokenType.COLOR).toList();
    Token token = colours.get(random.nextInt(colours.size()));
    Token other = colours.get(random.nextInt(colours.size()));
    StyleValue value =
        random.nextBoolean()
            ? StyleValue.token(other.id())
            : StyleValue.literal("#%06x".formatted(random.nextInt(0x1000000)));
    List<SiteInfo> clients = sites.all();
    String site = clients.get(random.nextInt(clients.size())).id();
    return switch (random.nextInt(6)) {
      case 0 ->
          FinishesStep.value(
              site, token.id(), random.nextInt(3) == 0 ? Optional.empty() : Optional.of(value));
      case 1 ->
          new FinishesStep.House(
              FinishesEditor.rename(
                  store.draft(),
                  token.id(),
                  random.nextBoolean() ? "a b" + number : "a-b" + number));
      case 2 ->
          new FinishesStep.House(
              new FinishesEdit.PutToken(
                  "new" + number,
                  Optional.of(
                      Token.of("new" + number, "a b." + number, TokenType.COLOR, value, "")),
                  random.nextInt(4)));
      case 3 ->
          new FinishesStep.House(
              FinishesEditor.remove(
                  store.draft().token("new" + (number - 1)).map(Token::id).orElse(token.id())));
      default -> new FinishesStep.House(FinishesEditor.value(store.draft(), token.id(), value));
    };
  }

  @Test
  void aTableMadeOfTheOneBeforeIsTheSame() {
    Random random = new Random(20260101);
    int refused = 0;
    table.now("");
    for (int i = 0; i < STEPS; i++) {
      try {
        if (random.nextInt(5) == 0 && store.toUndo().isPresent()) {
          store.turn(History.Way.UNDO);
        } else {
          store.edit(step(random, i), "step " + i);
        }
      } catch (TokenProblem sound) {
        refused++;
      }
      FinishesViews.Table kept = table.now("");
      FinishesViews.Table anew = new FinishesTable(store, sites, looks).now("");
      assertThat(kept.order()).isEqualTo(anew.order());
      assertThat(kept.tokens()).as("after step %s", i).isEqualTo(anew.tokens());
    }
    assertThat(refused).isLessThan(STEPS / 2);
  }
}
