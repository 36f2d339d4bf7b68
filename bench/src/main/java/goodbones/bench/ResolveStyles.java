package goodbones.bench;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Node;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/** Every style property of every node of a page, at three devices: the winner, and the trail. */
@org.openjdk.jmh.annotations.State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ResolveStyles {
  @Param({"100", "1000", "10000"})
  private int nodes;

  private Shown page;
  private SiteFinishes finishes;

  @Setup
  public void make() {
    page = Shown.of(new Pages().page(nodes));
    finishes = Pages.finishes();
  }

  @Benchmark
  public void winners(Blackhole hole) {
    each(
        (cascade, node, property, device) ->
            hole.consume(cascade.won(node, property, device, State.NORMAL)));
  }

  @Benchmark
  public void trails(Blackhole hole) {
    each(
        (cascade, node, property, device) ->
            hole.consume(cascade.computed(node, property, device)));
  }

  private interface Visitor {
    void visit(Cascade cascade, Node node, StyleProperty property, Device device);
  }

  private void each(Visitor visitor) {
    Cascade cascade = new Cascade(page.root(), page, finishes);
    page.root()
        .walk(
            node -> {
              for (Device device : Device.values()) {
                for (StyleProperty property : Catalogue.styles(node.kind())) {
                  visitor.visit(cascade, node, property, device);
                }
              }
            });
  }
}
