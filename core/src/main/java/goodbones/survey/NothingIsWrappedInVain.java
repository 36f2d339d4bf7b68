package goodbones.survey;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.Options;
import goodbones.document.StyleProperty;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A box around one thing that adds nothing to it makes a page harder to work on. Only such are
 * found without which everything stands where it stands.
 */
final class NothingIsWrappedInVain extends SurveyRule {
  /** What of a thing refers to the box around it, not to its place on the page. */
  private static final Set<StyleProperty> OF_ITS_BOX =
      Set.of(StyleProperty.PIN, StyleProperty.ORDER, StyleProperty.HEIGHT_PLACE);

  /** How a container puts what is in it, and how that must be. */
  private static final Set<StyleProperty> PUTS =
      Set.of(StyleProperty.FLOW, StyleProperty.CONTENT_ALIGN);

  NothingIsWrappedInVain() {
    super("wrappers", "No box is around one thing for nothing", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    within(document.shown(), document, site, findings);
    return findings;
  }

  private static void within(
      Node parent, SurveyedDocument document, SurveyedSite site, List<Finding> findings) {
    for (int i = 0; i < parent.children().size(); i++) {
      Node box = parent.children().get(i);
      if (isInVain(parent, box, document, site)) {
        Node only = box.children().get(0);
        findings.add(
            document
                .at(
                    box,
                    "It is a box around one thing and adds nothing: take it away, what is in it"
                        + " stays where it is")
                .mendedBy(
                    new Edit.Group(
                        List.of(
                            new Edit.Move(only.id(), parent.id(), i), new Edit.Remove(box.id())))));
      } else {
        within(box, document, site, findings);
      }
    }
  }

  private static boolean isInVain(
      Node parent, Node box, SurveyedDocument document, SurveyedSite site) {
    if (box.kind() != Kind.BOX || box.children().size() != 1 || box.isList()) {
      return false;
    }
    Node only = box.children().get(0);
    return only.hiddenOn().isEmpty()
        && parent.kind().holdsOthers()
        && !parent.isList()
        && Catalogue.mayHold(parent.kind(), only.kind())
        && document.isOwn(parent)
        && document.isOwn(box)
        && document.isOwn(only)
        && saysNothing(box)
        && addsNothing(parent, box, only, document.drawn(site));
  }

  private static boolean saysNothing(Node box) {
    return box.styles().isEmpty()
        && box.namedStyles().isEmpty()
        && box.name().isEmpty()
        && box.scheme().isEmpty()
        && box.hiddenOn().isEmpty()
        && box.options().equals(Options.NONE);
  }

  private static boolean addsNothing(Node parent, Node box, Node only, Drawn drawn) {
    for (Device device : Device.values()) {
      for (StyleProperty property : Catalogue.styles(Kind.BOX)) {
        boolean inherits = property.inherited() && Catalogue.hasStyle(parent.kind(), property);
        String without = inherits ? drawn.css(parent, property, device) : property.initial();
        if (!drawn.css(box, property, device).equals(without)) {
          return false;
        }
      }
      if (drawn.px(only, StyleProperty.MARGIN_TOP, device) < 0
          || drawn.px(only, StyleProperty.MARGIN_BOTTOM, device) < 0) {
        return false;
      }
      if (!isInitial(only, OF_ITS_BOX, drawn, device) || !isInitial(parent, PUTS, drawn, device)) {
        return false;
      }
    }
    return true;
  }

  private static boolean isInitial(
      Node node, Set<StyleProperty> properties, Drawn drawn, Device device) {
    return properties.stream()
        .filter(property -> Catalogue.hasStyle(node.kind(), property))
        .allMatch(property -> drawn.css(node, property, device).equals(property.initial()));
  }
}
