package goodbones.site;

/** The pages that a rule of coverage is for. */
public sealed interface Scope {
  /** Every page. */
  record WholeSite() implements Scope {}

  /** All pages of a kind. */
  record OfKind(PageKind kind) implements Scope {}

  /** A page with everything that is filed under it. */
  record Branch(String pageId) implements Scope {}

  /** One page. */
  record OnePage(String pageId) implements Scope {}

  default boolean holds(SitePage page, PageTree tree) {
    if (this instanceof OfKind of) {
      return page.kind() == of.kind();
    }
    if (this instanceof Branch branch) {
      return tree.upwards(page.id()).contains(branch.pageId());
    }
    return !(this instanceof OnePage one) || one.pageId().equals(page.id());
  }

  /**
   * How narrow it is: one page before a branch, a branch deeper down before one higher up, a branch
   * before a kind, a kind before the whole site.
   */
  default int narrowness(PageTree tree) {
    if (this instanceof OnePage) {
      return Integer.MAX_VALUE;
    }
    if (this instanceof Branch branch) {
      return 2 + tree.depth(branch.pageId());
    }
    return this instanceof OfKind ? 1 : 0;
  }

  /** What it is called: “the whole site”, “pages of the kind news”. */
  default String words(PageTree tree) {
    if (this instanceof OfKind of) {
      return "pages of the kind " + of.kind().title().toLowerCase();
    }
    if (this instanceof Branch branch) {
      return "“" + title(tree, branch.pageId()) + "” and what is below it";
    }
    if (this instanceof OnePage one) {
      return "“" + title(tree, one.pageId()) + "” alone";
    }
    return "the whole site";
  }

  private static String title(PageTree tree, String pageId) {
    return tree.find(pageId).map(SitePage::title).orElse("a page that is gone");
  }
}
