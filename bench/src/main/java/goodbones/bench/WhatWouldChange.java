package goodbones.bench;

import goodbones.document.Node;
import goodbones.document.StyleValue;
import goodbones.library.Shown;
import goodbones.style.SiteFinishes;
import goodbones.survey.Contrast;
import goodbones.survey.Impact;
import goodbones.survey.PageLook;
import goodbones.survey.SiteLook;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What another value of one token would change, over many pages of 60 nodes each. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(value = 1, jvmArgsAppend = "-Xmx12g")
public class WhatWouldChange {
  private static final int NODES = 60;

  @Param({"100", "1000", "10000"})
  private int pages;

  private SiteLook look;
  private SiteFinishes before;
  private SiteFinishes after;
  private final Map<String, Shown> fewPages = new LinkedHashMap<>();

  @Setup
  public void make() {
    before = Pages.finishes();
    after = before.with(Pages.ACCENT, Optional.of(StyleValue.literal("#b4d0cc")));
    Pages maker = new Pages();
    List<PageLook> looks = new ArrayList<>();
    for (int i = 0; i < pages; i++) {
      Node root = maker.page(NODES);
      Shown shown = Shown.of(root);
      looks.add(PageLook.of("p" + i, shown, before));
      if (i < 100) {
        fewPages.put("p" + i, shown);
      }
    }
    look = new SiteLook(looks);
  }

  /** From the styles that were resolved before: what the finishes area does. */
  @Benchmark
  public Impact fromResolved() {
    return Impact.ofValues(look, before, after, Contrast.Pixels.UNKNOWN);
  }

  /** Resolving the first 100 pages anew, before and after, for the ratio. */
  @Benchmark
  public Impact first100Anew() {
    return Impact.ofAll(fewPages, before, after, Contrast.Pixels.UNKNOWN);
  }
}
