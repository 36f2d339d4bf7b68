package goodbones.survey;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What an edit of the finishes would change on one site: the nodes whose resolved values would
 * differ, and the texts that would lose or gain contrast.
 *
 * @param nodes page id to node to the devices on which it would look different
 * @param lost texts that meet AA now and would not
 * @param gained texts that do not meet AA now and would
 */
public record Impact(
    Map<String, Map<NodeId, Set<Device>>> nodes, List<Flip> lost, List<Flip> gained) {

  /** A text whose contrast would cross the line. */
  public record Flip(Place place, Device device, State state, Contrast before, Contrast after) {}

  /** How many nodes would look different on a device. */
  public int nodesOn(Device device) {
    return (int)
        nodes.values().stream()
            .flatMap(page -> page.values().stream())
            .filter(devices -> devices.contains(device))
            .count();
  }

  /** How many nodes would look different on any device. */
  public int nodeCount() {
    return nodes.values().stream().mapToInt(Map::size).sum();
  }

  public boolean isEmpty() {
    return nodes.isEmpty();
  }

  /**
   * What another value of a token would change. Which values win stays as it is, so only the
   * settings are looked up again, not the pages.
   *
   * @throws goodbones.style.TokenProblem if a token cannot be looked up after the edit
   */
  public static Impact ofValues(
      SiteLook site, SiteFinishes before, SiteFinishes after, Contrast.Pixels pixels) {
    Map<String, Map<NodeId, Set<Device>>> nodes = new LinkedHashMap<>();
    Set<Setting> changed = new LinkedHashSet<>();
    for (Setting setting : site.settings()) {
      if (!setting.css(before).equals(setting.css(after))) {
        changed.add(setting);
        site.uses(setting).forEach((page, there) -> merge(nodes, page, there));
      }
    }
    List<Flip> lost = new ArrayList<>();
    List<Flip> gained = new ArrayList<>();
    if (!changed.isEmpty()) {
      site.pairs()
          .forEach(
              (pair, places) -> {
                if (concerns(pair, changed)) {
                  flip(pair, pair, places, before, after, pixels, lost, gained);
                }
              });
    }
    return new Impact(nodes, lost, gained);
  }

  private static boolean concerns(Pair pair, Set<Setting> changed) {
    return changed.contains(pair.text())
        || changed.contains(pair.size())
        || changed.contains(pair.weight())
        || pair.ground().stream()
            .anyMatch(
                layer ->
                    layer instanceof Pair.Tint tint && changed.contains(tint.colour())
                        || layer instanceof Pair.Blend blend && changed.contains(blend.gradient()));
  }

  private static void flip(
      Pair was,
      Pair is,
      Set<Place> places,
      SiteFinishes before,
      SiteFinishes after,
      Contrast.Pixels pixels,
      List<Flip> lost,
      List<Flip> gained) {
    Contrast then = Contrast.of(was, before, pixels);
    Contrast now = Contrast.of(is, after, pixels);
    boolean failed = then.verdict() == Contrast.Verdict.FAILS;
    boolean fails = now.verdict() == Contrast.Verdict.FAILS;
    if (failed != fails) {
      places.forEach(
          place ->
              (fails ? lost : gained).add(new Flip(place, is.device(), is.state(), then, now)));
    }
  }

  /**
   * What other finishes would change on some pages, where the values that win may be others too: a
   * named style, a scheme or a kind's default.
   *
   * @param pages page id to what it shows
   */
  public static Impact ofAll(
      Map<String, Shown> pages, SiteFinishes before, SiteFinishes after, Contrast.Pixels pixels) {
    Map<String, Map<NodeId, Set<Device>>> nodes = new LinkedHashMap<>();
    List<Flip> lost = new ArrayList<>();
    List<Flip> gained = new ArrayList<>();
    pages.forEach(
        (id, shown) -> {
          Map<NodeId, Set<Device>> differing = differing(shown, before, after);
          if (!differing.isEmpty()) {
            nodes.put(id, differing);
            flips(id, shown, before, after, pixels, lost, gained);
          }
        });
    return new Impact(nodes, lost, gained);
  }

  private static void flips(
      String id,
      Shown shown,
      SiteFinishes before,
      SiteFinishes after,
      Contrast.Pixels pixels,
      List<Flip> lost,
      List<Flip> gained) {
    Map<List<Object>, Pair> old = new HashMap<>();
    PageLook.of(id, shown, before)
        .pairs()
        .forEach(
            (pair, there) ->
                there.forEach(node -> old.put(List.of(node, pair.device(), pair.state()), pair)));
    PageLook.of(id, shown, after)
        .pairs()
        .forEach(
            (pair, there) ->
                there.forEach(
                    node -> {
                      Pair was = old.get(List.of(node, pair.device(), pair.state()));
                      if (was != null) {
                        Set<Place> place = Set.of(new Place(id, node));
                        flip(was, pair, place, before, after, pixels, lost, gained);
                      }
                    }));
  }

  private static Map<NodeId, Set<Device>> differing(
      Shown shown, SiteFinishes before, SiteFinishes after) {
    Cascade old = new Cascade(shown.root(), shown, before);
    Cascade changed = new Cascade(shown.root(), shown, after);
    Map<NodeId, Set<Device>> differing = new LinkedHashMap<>();
    shown
        .root()
        .walk(
            node -> {
              for (Device device : Device.values()) {
                if (differs(node, device, old, changed)) {
                  differing
                      .computeIfAbsent(node.id(), n -> EnumSet.noneOf(Device.class))
                      .add(device);
                }
              }
            });
    return differing;
  }

  private static boolean differs(Node node, Device device, Cascade old, Cascade changed) {
    boolean hasWords = Catalogue.field(node.kind(), "words").isPresent();
    for (StyleProperty property : Catalogue.styles(node.kind())) {
      if (property.inherited() && !hasWords) {
        continue;
      }
      for (State state : Catalogue.states(node.kind())) {
        if (!old.won(node, property, device, state)
            .css()
            .equals(changed.won(node, property, device, state).css())) {
          return true;
        }
      }
    }
    return false;
  }

  private static void merge(
      Map<String, Map<NodeId, Set<Device>>> all, String page, Map<NodeId, Set<Device>> there) {
    Map<NodeId, Set<Device>> here = all.computeIfAbsent(page, p -> new LinkedHashMap<>());
    there.forEach(
        (node, devices) ->
            here.computeIfAbsent(node, n -> EnumSet.noneOf(Device.class)).addAll(devices));
  }

  /** How many nodes would look different, by device. */
  public Map<Device, Integer> byDevice() {
    Map<Device, Integer> counts = new EnumMap<>(Device.class);
    for (Device device : Device.values()) {
      counts.put(device, nodesOn(device));
    }
    return counts;
  }
}
