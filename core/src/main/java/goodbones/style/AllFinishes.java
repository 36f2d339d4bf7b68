package goodbones.style;

import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The house's finishes together with every site's own, so that an edit can be tried on them without
 * being kept. A value: what the finishes are at a site is worked out once.
 */
public final class AllFinishes {
  private final Finishes house;
  private final Map<String, Own> sites;
  private final Map<String, SiteFinishes> known = new ConcurrentHashMap<>();

  /** What a site has of its own. */
  public record Own(Map<String, StyleValue> values, Map<String, NamedStyle> styles) {
    private static final Own NOTHING = new Own(Map.of(), Map.of());

    public Own {
      values = Map.copyOf(values);
      styles = Collections.unmodifiableMap(new LinkedHashMap<>(styles));
    }
  }

  /** Finishes after a step, and the step that undoes it. */
  public record Edited(AllFinishes finishes, FinishesStep inverse) {}

  /**
   * @param sites site id to what is the site's own; a site that has nothing of its own may be
   *     missing
   */
  public AllFinishes(Finishes house, Map<String, Own> sites) {
    this.house = house;
    this.sites = Map.copyOf(sites);
  }

  public Finishes house() {
    return house;
  }

  /** Site id to what is the site's own. */
  public Map<String, Own> sites() {
    return sites;
  }

  public Own own(String siteId) {
    return sites.getOrDefault(siteId, Own.NOTHING);
  }

  /** The finishes as a site sees them; the house's alone for an empty id. */
  public SiteFinishes of(String siteId) {
    return known.computeIfAbsent(siteId, site -> on(site, house));
  }

  /** The finishes as a site sees them with another revision of the house's. */
  public SiteFinishes on(String siteId, Finishes revision) {
    Own own = own(siteId);
    return new SiteFinishes(revision, own.values(), List.copyOf(own.styles().values()));
  }

  /**
   * The ids of the tokens that these finishes and some others may not agree on, at the house or at
   * some sites.
   */
  public Set<String> differing(AllFinishes other, Collection<String> siteIds) {
    Set<String> differing = new HashSet<>(Differences.between(other.of(""), of("")));
    siteIds.forEach(site -> differing.addAll(Differences.between(other.of(site), of(site))));
    return differing;
  }

  /**
   * Carries a step out.
   *
   * @throws TokenProblem if something could not be looked up afterwards, at the house or at a site
   */
  public Edited after(FinishesStep step) {
    Edited edited = carryOut(step);
    edited
        .finishes()
        .requireSound(this, step instanceof FinishesStep.Site site ? site.siteId() : "");
    return edited;
  }

  private Edited carryOut(FinishesStep step) {
    if (step instanceof FinishesStep.House e) {
      FinishesEditor.Edited edited = FinishesEditor.apply(house, e.edit());
      return new Edited(
          new AllFinishes(edited.finishes(), sites), new FinishesStep.House(edited.inverse()));
    } else if (step instanceof FinishesStep.Site e) {
      return site(e);
    }
    AllFinishes now = this;
    List<FinishesStep> inverses = new ArrayList<>();
    for (FinishesStep each : ((FinishesStep.Several) step).steps()) {
      Edited edited = now.carryOut(each);
      now = edited.finishes();
      inverses.add(edited.inverse());
    }
    Collections.reverse(inverses);
    return new Edited(now, new FinishesStep.Several(inverses));
  }

  private Edited site(FinishesStep.Site e) {
    Own before = own(e.siteId());
    Map<String, StyleValue> values = new LinkedHashMap<>(before.values());
    Map<String, NamedStyle> styles = new LinkedHashMap<>(before.styles());
    Map<String, Optional<StyleValue>> oldValues = put(values, e.values());
    Map<String, Optional<NamedStyle>> oldStyles = put(styles, e.styles());
    Map<String, Own> all = new LinkedHashMap<>(sites);
    all.put(e.siteId(), new Own(values, styles));
    return new Edited(
        new AllFinishes(house, all), new FinishesStep.Site(e.siteId(), oldValues, oldStyles));
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof AllFinishes all && house.equals(all.house) && sites.equals(all.sites);
  }

  @Override
  public int hashCode() {
    return Objects.hash(house, sites);
  }

  private static <T> Map<String, Optional<T>> put(
      Map<String, T> map, Map<String, Optional<T>> changes) {
    Map<String, Optional<T>> before = new LinkedHashMap<>();
    changes.forEach(
        (key, value) -> {
          before.put(key, Optional.ofNullable(map.get(key)));
          value.ifPresentOrElse(v -> map.put(key, v), () -> map.remove(key));
        });
    return before;
  }

  /**
   * @param before the finishes as they were, which were sound
   * @param edited the site whose own values were edited; of any other one the message says which
   */
  private void requireSound(AllFinishes before, String edited) {
    sites.forEach(
        (site, own) -> {
          try {
            Soundness.require(before.of(site), of(site));
          } catch (TokenProblem problem) {
            if (site.equals(edited)) {
              throw problem;
            }
            throw new TokenProblem(
                problem.getMessage() + " (with the own values of " + site + ")", problem.chain());
          }
        });
  }
}
