package goodbones.survey;

import goodbones.document.Bound;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The rules by which a site is surveyed, the gravest first. */
public final class SiteSurvey {
  /** All rules. */
  public static final List<SurveyRule> RULES =
      List.of(
          new LinksLeadSomewhere(),
          new AlternativeText(),
          new OneMainHeading(),
          new HeadingsInOrder(),
          new BoundIsSet(),
          new NothingStandsIn(),
          new PagesAreDescribed());

  private SiteSurvey() {}

  /** WCAG 2.2, 2.4.4 asks that a link's purpose is clear; one without a target has none. */
  private static final class LinksLeadSomewhere implements SurveyRule {
    @Override
    public String word() {
      return "links";
    }

    @Override
    public String title() {
      return "Every link leads somewhere";
    }

    @Override
    public String source() {
      return "WCAG 2.2, 2.4.4, and common practice";
    }

    @Override
    public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
      List<Finding> findings = new ArrayList<>();
      document
          .shown()
          .walk(
              node -> {
                if (node.kind() == Kind.BUTTON) {
                  String link =
                      node.content().get("link") instanceof FieldValue.Link to ? to.target() : "";
                  if (leadsNowhere(link, site)) {
                    findings.add(
                        Finding.at(
                            document.id(),
                            node.id(),
                            link.isEmpty()
                                ? "It has no link: choose where it leads"
                                : "It leads nowhere now: choose another target"));
                  }
                }
                words(node)
                    .ifPresent(
                        words ->
                            words.marks().stream()
                                .filter(mark -> mark.type() == Mark.Type.LINK)
                                .filter(mark -> leadsNowhere(mark.value(), site))
                                .forEach(
                                    mark ->
                                        findings.add(
                                            Finding.at(
                                                document.id(),
                                                node.id(),
                                                "The link on “"
                                                    + words.text().substring(mark.from(), mark.to())
                                                    + "” leads nowhere: choose another target"))));
              });
      return findings;
    }

    private static boolean leadsNowhere(String link, SurveyedSite site) {
      return site.links().address(link).isEmpty();
    }
  }

  /** WCAG 2.2, 1.1.1: a picture that says something has a text that says it too. */
  private static final class AlternativeText implements SurveyRule {
    @Override
    public String word() {
      return "alternative-text";
    }

    @Override
    public String title() {
      return "Every picture says what it shows, or is decoration on purpose";
    }

    @Override
    public String source() {
      return "WCAG 2.2, 1.1.1";
    }

    @Override
    public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
      List<Finding> findings = new ArrayList<>();
      document
          .shown()
          .walk(
              node -> {
                if (node.kind() == Kind.PICTURE
                    && node.content().get("picture") instanceof FieldValue.Picture picture
                    && !picture.standIn()
                    && picture.alt().isBlank()) {
                  findings.add(
                      Finding.at(
                          document.id(),
                          node.id(),
                          "It has no alternative text, so it counts as decoration: say what it"
                              + " shows if it is none"));
                }
              });
      return findings;
    }
  }

  /** Readers who go from heading to heading begin at the main one. */
  private static final class OneMainHeading implements SurveyRule {
    @Override
    public String word() {
      return "main-heading";
    }

    @Override
    public String title() {
      return "Every page has one main heading";
    }

    @Override
    public String source() {
      return "common practice";
    }

    @Override
    public List<Finding> on(SurveyedPage page, SurveyedSite site) {
      List<Heading> main = headings(page).stream().filter(h -> h.level() == 1).toList();
      if (main.isEmpty()) {
        return List.of(
            Finding.of(
                page.page().id(), "It has no heading of level 1: give its title that level"));
      }
      return main.stream()
          .skip(1)
          .map(
              h ->
                  Finding.at(
                      h.document(),
                      h.node().id(),
                      "It is one more heading of level 1: give it level 2"))
          .toList();
    }
  }

  /** WCAG 2.2, 1.3.1, by technique G141: headings are nested by their levels. */
  private static final class HeadingsInOrder implements SurveyRule {
    @Override
    public String word() {
      return "heading-order";
    }

    @Override
    public String title() {
      return "No heading skips a level";
    }

    @Override
    public String source() {
      return "WCAG 2.2, 1.3.1, technique G141";
    }

    @Override
    public List<Finding> on(SurveyedPage page, SurveyedSite site) {
      List<Finding> findings = new ArrayList<>();
      int before = 0;
      for (Heading heading : headings(page)) {
        if (before > 0 && heading.level() > before + 1) {
          findings.add(
              Finding.at(
                  heading.document(),
                  heading.node().id(),
                  "It has level "
                      + heading.level()
                      + " after one of level "
                      + before
                      + ": give it level "
                      + (before + 1)));
        }
        before = heading.level();
      }
      return findings;
    }
  }

  /** What follows the client is left out where it is published as long as it is not set. */
  private static final class BoundIsSet implements SurveyRule {
    @Override
    public String word() {
      return "bound";
    }

    @Override
    public String title() {
      return "What follows the client’s details is set";
    }

    @Override
    public String source() {
      return "common practice";
    }

    @Override
    public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
      List<Finding> findings = new ArrayList<>();
      document
          .shown()
          .walk(
              node -> {
                words(node)
                    .ifPresent(
                        words ->
                            words.marks().stream()
                                .filter(mark -> mark.type() == Mark.Type.BOUND)
                                .flatMap(mark -> Bound.ofWord(mark.value()).stream())
                                .filter(what -> !site.bound().contains(what))
                                .forEach(
                                    what -> findings.add(unset(document, node, what.title()))));
                if (node.kind() == Kind.MENU
                    && node.content().get("menu") instanceof FieldValue.Menu menu
                    && !site.menus().contains(menu.name())) {
                  findings.add(
                      Finding.at(
                          document.id(),
                          node.id(),
                          "The menu “" + menu.name() + "” has no links: add some under Menus"));
                } else if (node.kind() == Kind.LOGO && !site.hasLogo()) {
                  findings.add(unset(document, node, "Logo"));
                } else if (node.kind() == Kind.SOCIAL && !site.hasSocial()) {
                  findings.add(unset(document, node, "Social links"));
                }
              });
      return findings;
    }

    private static Finding unset(SurveyedDocument document, Node node, String what) {
      return Finding.at(
          document.id(),
          node.id(),
          what + ": not set, and left out where it is published; set it under Client details");
    }
  }

  /** Nobody is to take for real what only shows where the real thing goes. */
  private static final class NothingStandsIn implements SurveyRule {
    @Override
    public String word() {
      return "stand-ins";
    }

    @Override
    public String title() {
      return "No words or pictures stand in for real ones";
    }

    @Override
    public String source() {
      return "common practice";
    }

    @Override
    public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
      return StandIns.of(document.shown()).stream()
          .map(
              left ->
                  Finding.at(
                      document.id(),
                      left.node(),
                      left.field().equals("picture")
                          ? "A picture is missing: choose one"
                          : "Its words only stand in: write the real ones"))
          .toList();
    }
  }

  /** Search results show the description under the title. */
  private static final class PagesAreDescribed implements SurveyRule {
    @Override
    public String word() {
      return "description";
    }

    @Override
    public String title() {
      return "Every page has a description";
    }

    @Override
    public String source() {
      return "common practice";
    }

    @Override
    public List<Finding> on(SurveyedPage page, SurveyedSite site) {
      return page.description().isBlank()
          ? List.of(
              Finding.of(
                  page.page().id(), "It has no description for search results: write a sentence"))
          : List.of();
    }
  }

  /** A heading where it is read on a page. */
  private record Heading(String document, Node node, int level) {}

  /** Those that a reader comes to: what has no words is not there. */
  private static List<Heading> headings(SurveyedPage page) {
    List<Heading> headings = new ArrayList<>();
    for (SurveyedDocument document : page.documents()) {
      document
          .shown()
          .walk(
              node -> {
                boolean said = words(node).filter(words -> !words.text().isBlank()).isPresent();
                if (node.kind() == Kind.HEADING && said) {
                  int level =
                      node.content().get("level") instanceof FieldValue.Level of ? of.level() : 2;
                  headings.add(new Heading(document.id(), node, level));
                }
              });
    }
    return headings;
  }

  private static Optional<FieldValue.Words> words(Node node) {
    return node.content().get("words") instanceof FieldValue.Words words
        ? Optional.of(words)
        : Optional.empty();
  }
}
