package goodbones.survey;

import goodbones.document.Bound;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.site.SitePage;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** An item of a list that shows a page is as good as what the page says of itself. */
final class ItemsShowPages extends SurveyRule {
  ItemsShowPages() {
    super("shown-pages", "Lists of pages show pages that are there", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    Set<NodeId> items = new HashSet<>();
    for (Node item : document.members().all()) {
      inLot(item, document, site, findings);
      if (item.kind() == Kind.ITEM && !item.children().isEmpty()) {
        items.add(item.id());
        Node shown = item.children().get(0);
        Optional<String> page = PageShown.of(item);
        if (page.isEmpty() && follows(shown)) {
          findings.add(document.at(shown, "It shows no page yet: choose one, or leave it out"));
        }
        page.flatMap(id -> site.links().page(PageShown.PAGE + id))
            .flatMap(to -> lacks(to, shown))
            .ifPresent(words -> findings.add(document.at(shown, words)));
      }
    }
    for (Node node : document.shown().all()) {
      if (follows(node.withChildren(List.of())) && items.stream().noneMatch(node.id()::isIn)) {
        findings.add(
            document.at(node, "It shows something of a page, and stands in no item of a list"));
      }
    }
    return findings;
  }

  /** What a list is to show all of, and does not; and what it shows besides. */
  private static void inLot(
      Node list, SurveyedDocument document, SurveyedSite site, List<Finding> findings) {
    String lot = PageShown.lot(list);
    if (lot.isEmpty()) {
      return;
    }
    List<SitePage> wanted = site.links().lot(lot);
    Set<String> shown = new LinkedHashSet<>();
    list.children().forEach(item -> PageShown.of(item).ifPresent(shown::add));
    String title = site.links().lotTitle(lot);
    wanted.stream()
        .filter(page -> page.ready() && !shown.contains(page.id()))
        .forEach(
            page ->
                findings.add(
                    document.at(
                        list,
                        "“"
                            + page.title()
                            + "” is "
                            + title
                            + " and not shown here: choose the pages of the list again")));
    shown.stream()
        .flatMap(id -> site.links().page(PageShown.PAGE + id).stream())
        .filter(page -> wanted.stream().noneMatch(one -> one.id().equals(page.id())))
        .forEach(
            page ->
                findings.add(
                    document.at(list, "“" + page.title() + "” is shown here and not " + title)));
  }

  private static Optional<String> lacks(SitePage page, Node shown) {
    String name = "“" + page.title() + "”";
    if (!page.ready()) {
      return Optional.of(name + " is in work: published, this is left out until it is ready");
    }
    boolean summary = shows(shown, Bound.ITEM_SUMMARY) && page.description().isBlank();
    boolean picture = showsPicture(shown) && page.picture().isEmpty();
    if (!summary && !picture) {
      return Optional.empty();
    }
    String what =
        summary && picture ? "description and no picture" : summary ? "description" : "picture";
    return Optional.of(name + " has no " + what + " to be shown here: give it under its page");
  }

  private static boolean follows(Node tree) {
    return shows(tree, Bound.ITEM_TITLE) || shows(tree, Bound.ITEM_SUMMARY) || showsPicture(tree);
  }

  private static boolean shows(Node tree, Bound what) {
    return tree.all().stream()
        .flatMap(node -> SurveyedDocument.marks(node, Mark.Type.BOUND).stream())
        .anyMatch(mark -> mark.value().equals(what.word()));
  }

  private static boolean showsPicture(Node tree) {
    return tree.all().stream()
        .flatMap(node -> node.content().values().stream())
        .anyMatch(
            value ->
                value instanceof FieldValue.Picture picture
                    && picture.pictureId().equals(PageShown.PICTURE));
  }
}
