package goodbones.server.clients;

import goodbones.colour.Colour;
import goodbones.document.Catalogue;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleValue;
import goodbones.server.clients.ClientViews.BrandMade;
import goodbones.server.clients.ClientViews.BrandRequest;
import goodbones.server.clients.ClientViews.BrandTried;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.finishes.Specimen;
import goodbones.server.library.Pieces;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.Brand;
import goodbones.style.FinishesStep;
import goodbones.style.ReadySet;
import goodbones.style.SiteFinishes;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Starts a new client from a short sheet: logo, colours, typefaces, page width. */
@Service
class Brands {
  private final FinishesStore finishes;
  private final Sites sites;
  private final Pieces pieces;
  private final Pictures pictures;
  private final Frames frames;

  Brands(FinishesStore finishes, Sites sites, Pieces pieces, Pictures pictures, Frames frames) {
    this.finishes = finishes;
    this.sites = sites;
    this.pieces = pieces;
    this.pictures = pictures;
    this.frames = frames;
  }

  List<ClientViews.ReadySetView> readySets() {
    return ReadySet.all().stream()
        .map(set -> new ClientViews.ReadySetView(set.id(), set.name(), set.words(), set.values()))
        .toList();
  }

  /** The specimen of a brand, without keeping anything. */
  @Transactional(readOnly = true)
  public BrandTried tried(BrandRequest request) {
    SiteFinishes house = finishes.draftFor("");
    String name = request.name().isBlank() ? "A new client" : request.name().strip();
    SiteInfo site = new SiteInfo("", name, "en-GB", logo(request));
    try {
      Map<String, StyleValue> own = new LinkedHashMap<>();
      values(request, house).forEach((token, value) -> value.ifPresent(v -> own.put(token, v)));
      SiteFinishes look = new SiteFinishes(house.house(), own);
      return new BrandTried("", frames.html(Specimen.of(site, look), look, site, name));
    } catch (IllegalArgumentException refused) {
      return new BrandTried(
          String.valueOf(refused.getMessage()),
          frames.html(Specimen.of(site, house), house, site, name));
    }
  }

  private String logo(BrandRequest request) {
    return pictures.exists(request.logo()) ? request.logo() : "";
  }

  /** Token id to value, for the roles that the house has. */
  private static Map<String, Optional<StyleValue>> values(
      BrandRequest request, SiteFinishes house) {
    Map<String, StyleValue> byRole = new LinkedHashMap<>();
    ReadySet.all().stream()
        .filter(set -> set.id().equals(request.set()))
        .findFirst()
        .ifPresent(set -> set.values().forEach((role, v) -> byRole.put(role, StyleValue.parse(v))));
    List<Colour> colours = new ArrayList<>();
    for (String css : request.colours()) {
      if (!css.isBlank()) {
        colours.add(Colour.parse(css));
      }
    }
    Brand brand =
        new Brand(
            colours, request.headingFont().strip(), request.bodyFont().strip(), request.width());
    byRole.putAll(brand.values());
    Map<String, Optional<StyleValue>> values = new LinkedHashMap<>();
    byRole.forEach(
        (role, value) ->
            house.byName(role).ifPresent(token -> values.put(token.id(), Optional.of(value))));
    return values;
  }

  /**
   * Makes the client's site, with its own values and a first page.
   *
   * @throws BadInput if the name is missing or taken
   */
  @Transactional
  public BrandMade make(BrandRequest request) {
    String name = request.name().strip();
    if (name.isEmpty() || name.length() > Catalogue.NAME_LIMIT) {
      throw new BadInput(
          "name", "Give the client a name of 1 to " + Catalogue.NAME_LIMIT + " characters");
    }
    if (sites.all().stream().anyMatch(site -> site.name().equalsIgnoreCase(name))) {
      throw new BadInput("name", "There is a client “" + name + "” already; give another name");
    }
    String id = freeId(name);
    String logo = logo(request);
    sites.add(new SiteInfo(id, name, "en-GB", logo));
    if (!logo.isEmpty()) {
      pictures.give(logo, id);
    }
    finishes.adopt(id, finishes.current());
    finishes.put(new FinishesStep.Site(id, values(request, finishes.draftFor("")), Map.of()));
    String pageId = UUID.randomUUID().toString();
    sites.addPage(pageId, id, "Home", "/", "", firstPage(name));
    return new BrandMade(id, pageId);
  }

  private String freeId(String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .toLowerCase(Locale.ROOT)
            .replaceAll("\\p{M}", "")
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-+|-+$", "");
    String stem = plain.isEmpty() ? "client" : plain.substring(0, Math.min(40, plain.length()));
    java.util.Set<String> taken =
        sites.all().stream().map(SiteInfo::id).collect(Collectors.toSet());
    String id = stem;
    for (int i = 2; taken.contains(id); i++) {
      id = stem + "-" + i;
    }
    return id;
  }

  private static Node firstPage(String name) {
    Node heading =
        fresh(Kind.HEADING)
            .withContent("words", new FieldValue.Words(name))
            .withContent("level", new FieldValue.Level(1));
    Node text =
        fresh(Kind.TEXT)
            .withContent("words", FieldValue.Words.standIn("Say in one sentence what it is."));
    Node section =
        Node.of(NodeId.of(UUID.randomUUID().toString()), Kind.SECTION, "Opening")
            .withChildren(List.of(heading, text));
    return fresh(Kind.PAGE).withChildren(List.of(section));
  }

  private static Node fresh(Kind kind) {
    return Node.of(NodeId.of(UUID.randomUUID().toString()), kind, "");
  }
}
