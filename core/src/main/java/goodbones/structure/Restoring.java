package goodbones.structure;

import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Node;
import goodbones.document.StyleKey;
import goodbones.document.Variant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** Makes one tree of another whose outermost node is the same, as an edit that can be undone. */
public final class Restoring {
  private Restoring() {}

  /**
   * @param now what stands there
   * @param wanted what is to stand there, with the same id outermost
   */
  public static Edit of(Node now, Node wanted) {
    List<Edit> edits = new ArrayList<>();
    values(now, wanted, edits);
    options(now, wanted, edits);
    if (!now.children().equals(wanted.children())) {
      now.children().forEach(child -> edits.add(new Edit.Remove(child.id())));
      for (int i = 0; i < wanted.children().size(); i++) {
        edits.add(new Edit.Insert(now.id(), i, wanted.children().get(i)));
      }
    }
    return new Edit.Group(edits);
  }

  private static void values(Node now, Node wanted, List<Edit> edits) {
    Set<String> fields = new LinkedHashSet<>(now.content().keySet());
    fields.addAll(wanted.content().keySet());
    for (String field : fields) {
      Optional<FieldValue> value = Optional.ofNullable(wanted.content().get(field));
      if (!value.equals(Optional.ofNullable(now.content().get(field)))) {
        edits.add(new Edit.SetContent(now.id(), field, value));
      }
    }
    Set<StyleKey> keys = new LinkedHashSet<>(now.styles().keySet());
    keys.addAll(wanted.styles().keySet());
    for (StyleKey key : keys) {
      if (!Objects.equals(now.styles().get(key), wanted.styles().get(key))) {
        edits.add(new Edit.SetStyle(now.id(), key, Optional.ofNullable(wanted.styles().get(key))));
      }
    }
    if (!now.name().equals(wanted.name())) {
      edits.add(new Edit.Rename(now.id(), wanted.name()));
    }
    if (!now.namedStyles().equals(wanted.namedStyles())) {
      edits.add(new Edit.SetNamedStyles(now.id(), wanted.namedStyles()));
    }
    if (!now.scheme().equals(wanted.scheme())) {
      edits.add(new Edit.SetScheme(now.id(), wanted.scheme()));
    }
    if (!now.hiddenOn().equals(wanted.hiddenOn())) {
      edits.add(new Edit.SetVisibility(now.id(), wanted.hiddenOn()));
    }
  }

  private static void options(Node now, Node wanted, List<Edit> edits) {
    Set<String> fields = new LinkedHashSet<>(now.slots());
    fields.addAll(wanted.slots());
    fields.addAll(now.options().siteSlots());
    fields.addAll(wanted.options().siteSlots());
    for (String field : fields) {
      edits.add(new Edit.SetSlot(now.id(), field, wanted.slots().contains(field)));
      edits.add(
          new Edit.SetSiteSlot(now.id(), field, wanted.options().siteSlots().contains(field)));
    }
    Set<String> wants = new LinkedHashSet<>(now.options().wants().keySet());
    wants.addAll(wanted.options().wants().keySet());
    for (String field : wants) {
      edits.add(
          new Edit.SetWant(
              now.id(), field, Optional.ofNullable(wanted.options().wants().get(field))));
    }
    for (Variant variant : now.options().variants()) {
      edits.add(new Edit.SetVariant(now.id(), variant.id(), Optional.empty()));
    }
    for (Variant variant : wanted.options().variants()) {
      edits.add(new Edit.SetVariant(now.id(), variant.id(), Optional.of(variant)));
    }
  }
}
