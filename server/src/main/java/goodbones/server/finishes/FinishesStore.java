package goodbones.server.finishes;

import goodbones.document.StyleValue;
import goodbones.server.documents.DocumentJson;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the house's finishes and each site's own values. */
@Service
public class FinishesStore {
  private static final Finishes BARE = Finishes.of(List.of(), List.of(), Map.of()).withRevision(0);
  private final HouseFinishesRepository house;
  private final SiteValueRepository values;

  FinishesStore(HouseFinishesRepository house, SiteValueRepository values) {
    this.house = house;
    this.values = values;
  }

  @Transactional(readOnly = true)
  public Finishes house() {
    return house
        .findFirstByOrderByRevisionDesc()
        .map(kept -> DocumentJson.read(kept.document(), Finishes.class))
        .orElse(BARE);
  }

  @Transactional
  public void keep(Finishes finishes) {
    house.save(new HouseFinishes(finishes.revision(), DocumentJson.write(finishes)));
  }

  /** The finishes as a site sees them; the house's alone for an empty id. */
  @Transactional(readOnly = true)
  public SiteFinishes forSite(String siteId) {
    Map<String, StyleValue> own =
        values.findByIdSiteId(siteId).stream()
            .collect(Collectors.toMap(v -> v.id().tokenId(), v -> StyleValue.parse(v.stored())));
    return new SiteFinishes(house(), own);
  }

  /**
   * Sets a site's own value for a token, or goes back to the house's.
   *
   * @param typed as a designer writes it; empty for the house's value
   * @throws goodbones.style.TokenProblem if the token is unknown, the value does not fit its type,
   *     or the aliases would run in a circle
   */
  @Transactional
  public void setValue(String siteId, String tokenId, Optional<String> typed) {
    SiteFinishes now = forSite(siteId);
    Optional<StyleValue> value = typed.map(now::read);
    SiteFinishes changed = now.with(tokenId, value);
    changed.worth(tokenId);
    changed.requireSound();
    SiteValue.Key key = new SiteValue.Key(siteId, tokenId);
    value.ifPresentOrElse(
        v -> values.save(new SiteValue(key, v.toString())), () -> values.deleteById(key));
  }
}
