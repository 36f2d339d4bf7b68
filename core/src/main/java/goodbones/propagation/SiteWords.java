package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import goodbones.library.RevisionIndex;
import goodbones.library.SiteFillings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What fills the slots of a site that releases make: words that all its pages show in one fill it;
 * where they show different ones, there is one question for the site.
 *
 * <p>First every placement is noted; then it can be asked.
 */
final class SiteWords {
  private final SiteFillings ofSite;
  private final Map<String, Integer> decided;
  private final SortedMap<LocalKey, Slot> becoming = new TreeMap<>();
  private final SortedMap<LocalKey, OutOfSight> gone = new TreeMap<>();

  /** What fills a slot that goes by another id from now on, for it was unlinked. */
  private final SortedMap<LocalKey, Optional<FieldValue>> moved = new TreeMap<>();

  /** A slot that becomes one of the whole site, with what is shown in it where. */
  private static final class Slot {
    private final String pieceId;
    private final NodeId node;
    private final Map<Optional<FieldValue>, List<SiteQuestion.Place>> shown = new LinkedHashMap<>();

    Slot(String pieceId, NodeId node) {
      this.pieceId = pieceId;
      this.node = node;
    }

    void add(Optional<FieldValue> value, SiteQuestion.Place place) {
      shown.computeIfAbsent(value, v -> new ArrayList<>()).add(place);
    }
  }

  /**
   * @param ofSite what is filled already; that is not asked again
   * @param decided answers by the ids of questions
   */
  SiteWords(SiteFillings ofSite, Map<String, Integer> decided) {
    this.ofSite = ofSite;
    this.decided = decided;
  }

  /**
   * A placement that goes on.
   *
   * @param said what it says, as the end of its way has it
   */
  void goes(SiteQuestion.Place place, String pieceId, Layer said, Way way) {
    RevisionIndex last = way.last();
    RevisionIndex first = way.first();
    if (last.siteSlots().isEmpty() && first.siteSlots().isEmpty()) {
      return;
    }
    View view = new View(first, said);
    View after = new View(last, said);
    for (LocalKey key : first.siteSlots()) {
      LocalKey slot = slot(way.backwards(key));
      FieldValue value = ofSite.filled().get(slot);
      if (value == null || said.changes().containsKey(key) || !view.sees(key)) {
        continue;
      }
      if (!after.sees(key) || !isRead(last, key)) {
        gone.merge(
            slot,
            new OutOfSight(pieceId, key.node(), slot, value, List.of(place)),
            SiteWords::together);
      } else if (!slot.equals(slot(key)) && !isFilled(key)) {
        moved.put(slot(key), Optional.of(value));
      }
    }
    for (LocalKey key : last.siteSlots()) {
      boolean becomes = first.has(key.node()) && !first.isSiteSlot(key);
      if (becomes && view.sees(key) && !isFilled(key)) {
        shown(key, said, first, last)
            .ifPresent(
                value ->
                    becoming
                        .computeIfAbsent(slot(key), s -> new Slot(pieceId, key.node()))
                        .add(value, place));
      }
    }
  }

  /** Whether a revision shows what fills the site there, if nobody says anything else. */
  private static boolean isRead(RevisionIndex revision, LocalKey key) {
    return revision.isSiteSlot(key) || revision.isSlot(key);
  }

  private static OutOfSight together(OutOfSight one, OutOfSight other) {
    List<SiteQuestion.Place> places = new ArrayList<>(one.places());
    places.addAll(other.places());
    return new OutOfSight(one.pieceId(), one.node(), one.slot(), one.value(), places);
  }

  /** What fills the site and loses places that show it. */
  List<OutOfSight> outOfSight() {
    return List.copyOf(gone.values());
  }

  /** A placement that shows the slot as one of the whole site already; it shows the library's. */
  void shows(SiteQuestion.Place place, Layer said, RevisionIndex revision) {
    for (LocalKey key : revision.siteSlots()) {
      Slot slot = becoming.get(slot(key));
      if (slot != null && !said.changes().containsKey(key)) {
        slot.add(Optional.empty(), place);
      }
    }
  }

  /** Whether there is any slot that becomes one of the whole site. */
  boolean isAny() {
    return !becoming.isEmpty();
  }

  private boolean isFilled(LocalKey key) {
    return ofSite.filled().containsKey(slot(key));
  }

  private static LocalKey slot(LocalKey key) {
    return SiteFillings.key(key.node(), ((Aspect.Content) key.aspect()).field());
  }

  /**
   * What a placement shows in a field up to now: empty inside for what the library says, empty for
   * what was taken away here.
   */
  private static Optional<Optional<FieldValue>> shown(
      LocalKey key, Layer said, RevisionIndex first, RevisionIndex last) {
    Optional<LocalValue> library = last.value(key);
    Optional<LocalValue> own = said.at(key);
    Optional<LocalValue> filling = own.isEmpty() && first.isSlot(key) ? library : own;
    Optional<LocalValue> shown = filling.or(() -> first.value(key));
    if (shown.equals(library)) {
      return Optional.of(Optional.empty());
    }
    return shown.flatMap(value -> ((LocalValue.ContentIs) value).value()).map(Optional::of);
  }

  private static String id(LocalKey slot) {
    return "site " + slot;
  }

  /** One question for every slot in which different things are shown. */
  List<SiteQuestion> questions() {
    List<SiteQuestion> questions = new ArrayList<>();
    becoming.forEach(
        (key, slot) -> {
          if (slot.shown.size() > 1) {
            questions.add(new SiteQuestion(id(key), slot.pieceId, slot.node, key, choices(slot)));
          }
        });
    return questions;
  }

  /** What most pages show comes first, and the library's last. */
  private static List<SiteQuestion.Choice> choices(Slot slot) {
    Comparator<SiteQuestion.Choice> library = Comparator.comparing(c -> c.value().isEmpty());
    return slot.shown.entrySet().stream()
        .map(entry -> new SiteQuestion.Choice(entry.getKey(), entry.getValue()))
        .sorted(library.thenComparing(choice -> -choice.places().size()))
        .toList();
  }

  /** What the site's slots are filled with by what all its pages show, and by what was decided. */
  SortedMap<LocalKey, Optional<FieldValue>> filled() {
    SortedMap<LocalKey, Optional<FieldValue>> filled = new TreeMap<>(moved);
    becoming.forEach(
        (key, slot) -> {
          Optional<FieldValue> value =
              slot.shown.size() == 1
                  ? slot.shown.keySet().iterator().next()
                  : answer(key).flatMap(at -> chosen(key, choices(slot), at));
          value.ifPresent(words -> filled.put(key, Optional.of(words)));
        });
    return filled;
  }

  private static Optional<FieldValue> chosen(
      LocalKey slot, List<SiteQuestion.Choice> choices, int at) {
    if (at == SiteQuestion.EACH) {
      return Optional.empty();
    }
    if (at < 0 || at >= choices.size()) {
      throw new IllegalArgumentException(
          "Of “"
              + slot
              + "” there are "
              + choices.size()
              + " things to choose from; "
              + at
              + " is none of them");
    }
    return choices.get(at).value();
  }

  private Optional<Integer> answer(LocalKey slot) {
    return Optional.ofNullable(decided.get(id(slot)));
  }

  /**
   * The questions at a placement that are asked once for the site, and how they are settled by
   * that; empty inside as long as it was not answered.
   */
  Map<String, Optional<Settlement>> askedAtSite(Rebased rebased) {
    Map<String, Optional<Settlement>> asked = new LinkedHashMap<>();
    for (Question question : rebased.allQuestions()) {
      LocalKey key = question.keys().get(0);
      boolean words = question.verdict() == Verdict.BOTH && key.aspect() instanceof Aspect.Content;
      if (words && becoming.containsKey(slot(key)) && !isCleared(rebased, key)) {
        asked.put(
            question.id(),
            answer(slot(key))
                .map(at -> at == SiteQuestion.EACH ? Settlement.STAY : Settlement.TAKE));
      }
    }
    return asked;
  }

  private static boolean isCleared(Rebased rebased, LocalKey key) {
    return rebased.said().changes().get(key) instanceof LocalValue.ContentIs is
        && is.value().isEmpty();
  }
}
