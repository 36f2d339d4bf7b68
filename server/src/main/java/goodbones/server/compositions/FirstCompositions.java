package goodbones.server.compositions;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The compositions to start with, made of the pieces to start with. */
@Service
public class FirstCompositions {
  private final Compositions compositions;
  private int position;

  FirstCompositions(Compositions compositions) {
    this.compositions = compositions;
  }

  @Transactional
  public void keep() {
    position = 0;
    add(
        "home",
        "Home",
        "Who it is, what there is, why, and what next",
        "opening-picture",
        "cards",
        "picture-text",
        "voices",
        "hours",
        "action");
    add(
        "about",
        "About",
        "Who they are and how long they have been at it",
        "opening-beside st-opening-beside-leading",
        "text",
        "statistics",
        "team",
        "quote");
    add(
        "services",
        "Services",
        "All that is offered, and how it goes",
        "opening-words",
        "lines",
        "steps",
        "questions",
        "action-slim");
    add(
        "service",
        "One service",
        "One thing that is offered, with its price",
        "opening-inner",
        "picture-text st-picture-text-trailing",
        "steps-down",
        "prices",
        "questions",
        "action");
    add(
        "prices",
        "Prices",
        "What everything costs, and what is included",
        "opening-inner",
        "price-cards",
        "prices",
        "questions",
        "action-slim");
    add(
        "contact",
        "Contact",
        "Where they are and when somebody answers",
        "opening-inner",
        "contact",
        "hours");
    add("news", "News", "What is new, the newest first", "opening-inner", "news", "action-slim");
    add(
        "landing",
        "Landing page",
        "One offer and one thing to do, nothing that leads away",
        "opening-words",
        "reasons",
        "picture-text",
        "voices",
        "action");
    add("error", "Error page", "What to do where there is no page", "opening-inner", "action");
  }

  /**
   * @param parts pieces to start with, without what their ids begin with; after a blank the variant
   */
  private void add(String id, String name, String notes, String... parts) {
    List<CompositionEntity.Part> all = new ArrayList<>();
    for (String part : parts) {
      String[] words = part.split(" ");
      all.add(new CompositionEntity.Part("st-" + words[0], words.length > 1 ? words[1] : ""));
    }
    compositions.add("co-" + id, name, notes, position++, all);
  }
}
