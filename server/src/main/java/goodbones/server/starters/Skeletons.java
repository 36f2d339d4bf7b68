package goodbones.server.starters;

import static goodbones.server.starters.Draw.styled;

import goodbones.document.Node;
import goodbones.library.Purpose;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Empty rows and columns to build in. */
final class Skeletons {
  private Skeletons() {}

  static List<Starter> all() {
    List<Starter> all = new ArrayList<>();
    all.add(of("st-bare-1", "One column", "12"));
    all.add(of("st-bare-2", "Two columns", "6 6"));
    all.add(of("st-bare-3", "Three columns", "4 4 4"));
    all.add(of("st-bare-4", "Four columns", "3 3 3 3"));
    all.add(of("st-bare-84", "Wide and narrow", "8 4"));
    all.add(of("st-bare-48", "Narrow and wide", "4 8"));
    all.add(nested());
    return all;
  }

  private static Starter of(String id, String name, String columns) {
    Draw d = new Draw(id);
    Node[] each = new Node[columns.split(" ").length];
    Arrays.setAll(each, i -> d.column());
    Node row = d.row(columns, each);
    if (each.length > 2) {
      row = styled(row, "columns@tablet", "6");
    }
    return Starter.template(
        Purpose.SKELETON, "Empty, to build in: " + columns + " twelfths", d.section(name, row));
  }

  private static Starter nested() {
    Draw d = new Draw("st-bare-nested");
    return Starter.template(
        Purpose.SKELETON,
        "A side column, and two columns in the wide one under something across",
        d.section(
            "Side column with two nested",
            d.row("9 3", d.column(d.box(), d.row("6 6", d.column(), d.column())), d.column())));
  }
}
