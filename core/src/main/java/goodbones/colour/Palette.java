package goodbones.colour;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Finds the few colours that make up a picture: k-means clustering (Lloyd 1982, started by
 * k-means++ with the next mean at the farthest weighted point, so that it comes out the same each
 * time) in OKLab. Near-duplicates are merged by CIEDE2000; transparent and near-white pixels are
 * ground and are left out, unless nothing else is there.
 */
public final class Palette {
  /** The most colours that a palette has. */
  public static final int MOST = 8;

  private static final int ROUNDS = 24;
  private static final int GROUND_ALPHA = 128;
  private static final double NEAR_WHITE = 0.965;
  private static final double NEAR_WHITE_CHROMA = 0.02;
  private static final double SAME = 6;
  private static final double LEAST_SHARE = 0.004;
  private static final int BITS = 5;

  /**
   * A colour of a palette.
   *
   * @param share how much of the picture, ground left out, it stands for, 0 to 1
   */
  public record Swatch(Colour colour, double share) {}

  /** Pixels of nearly one colour, taken together; the mean in OKLab. */
  private static final class Bin {
    private final double[] lab = new double[3];
    private long count;

    void add(double[] other, long weight) {
      for (int i = 0; i < 3; i++) {
        lab[i] = (lab[i] * count + other[i] * weight) / (count + weight);
      }
      count += weight;
    }
  }

  private Palette() {}

  /**
   * The colours of a picture, the one with the greatest share first.
   *
   * @param argb pixels, 8 bits each of alpha, red, green and blue, not premultiplied
   * @return at most 8; fewer where the picture has fewer; none for no visible pixel
   */
  public static List<Swatch> of(int[] argb) {
    List<Bin> bins = bins(argb, true);
    if (bins.isEmpty()) {
      bins = bins(argb, false);
    }
    if (bins.isEmpty()) {
      return List.of();
    }
    long all = bins.stream().mapToLong(bin -> bin.count).sum();
    List<Bin> clusters = merged(clustered(bins));
    return clusters.stream()
        .sorted(Comparator.comparingLong((Bin bin) -> bin.count).reversed())
        .map(bin -> new Swatch(colour(bin), bin.count / (double) all))
        .filter(swatch -> swatch.share() >= LEAST_SHARE)
        .limit(MOST)
        .toList();
  }

  /**
   * The mean of the pixels around a point, 3 by 3 where the picture reaches that far, alpha weighed
   * in.
   *
   * @throws IllegalArgumentException if the point is outside
   */
  public static Colour at(int[] argb, int width, int height, int x, int y) {
    if (x < 0 || y < 0 || x >= width || y >= height) {
      throw new IllegalArgumentException(
          "The point " + x + ", " + y + " is outside a picture of " + width + " by " + height);
    }
    double[] sum = new double[4];
    int count = 0;
    for (int row = Math.max(0, y - 1); row <= Math.min(height - 1, y + 1); row++) {
      for (int column = Math.max(0, x - 1); column <= Math.min(width - 1, x + 1); column++) {
        int pixel = argb[row * width + column];
        double alpha = (pixel >>> 24) / 255.0;
        sum[0] += (pixel >> 16 & 255) * alpha;
        sum[1] += (pixel >> 8 & 255) * alpha;
        sum[2] += (pixel & 255) * alpha;
        sum[3] += alpha;
        count++;
      }
    }
    return sum[3] == 0
        ? new Colour(0, 0, 0, 0)
        : new Colour(sum[0] / sum[3], sum[1] / sum[3], sum[2] / sum[3], sum[3] / count);
  }

  private static List<Bin> bins(int[] argb, boolean withoutGround) {
    Map<Integer, long[]> sums = new HashMap<>();
    for (int pixel : argb) {
      if (pixel >>> 24 < GROUND_ALPHA) {
        continue;
      }
      int shift = 8 - BITS;
      int key =
          ((pixel >> 16 & 255) >> shift) << 2 * BITS
              | ((pixel >> 8 & 255) >> shift) << BITS
              | (pixel & 255) >> shift;
      long[] sum = sums.computeIfAbsent(key, k -> new long[4]);
      sum[0] += pixel >> 16 & 255;
      sum[1] += pixel >> 8 & 255;
      sum[2] += pixel & 255;
      sum[3]++;
    }
    List<Bin> bins = new ArrayList<>();
    sums.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .forEach(
            entry -> {
              long[] sum = entry.getValue();
              double n = sum[3];
              double[] lab = Oklch.lab(new Colour(sum[0] / n, sum[1] / n, sum[2] / n, 1).xyz());
              if (!withoutGround || !nearWhite(lab)) {
                Bin bin = new Bin();
                bin.add(lab, sum[3]);
                bins.add(bin);
              }
            });
    return bins;
  }

  private static boolean nearWhite(double[] lab) {
    return lab[0] > NEAR_WHITE && Math.hypot(lab[1], lab[2]) < NEAR_WHITE_CHROMA;
  }

  private static List<Bin> clustered(List<Bin> bins) {
    List<double[]> means = new ArrayList<>();
    means.add(bins.stream().max(Comparator.comparingLong(bin -> bin.count)).orElseThrow().lab);
    while (means.size() < Math.min(MOST + 2, bins.size())) {
      means.add(
          bins.stream()
              .max(
                  Comparator.comparingDouble(
                      bin ->
                          distance(bin.lab, means.get(nearest(bin.lab, means)))
                              * Math.sqrt(bin.count)))
              .orElseThrow()
              .lab);
    }
    List<double[]> now = means;
    List<Bin> clusters = List.of();
    for (int round = 0; round < ROUNDS; round++) {
      List<Bin> next = new ArrayList<>();
      now.forEach(mean -> next.add(new Bin()));
      for (Bin bin : bins) {
        next.get(nearest(bin.lab, now)).add(bin.lab, bin.count);
      }
      next.removeIf(bin -> bin.count == 0);
      clusters = next;
      now = next.stream().map(bin -> bin.lab).toList();
    }
    return new ArrayList<>(clusters);
  }

  private static List<Bin> merged(List<Bin> clusters) {
    while (true) {
      Bin first = null;
      Bin second = null;
      double least = SAME;
      for (int i = 0; i < clusters.size(); i++) {
        for (int j = i + 1; j < clusters.size(); j++) {
          double apart = colour(clusters.get(i)).lab().ciede2000(colour(clusters.get(j)).lab());
          if (apart < least) {
            least = apart;
            first = clusters.get(i);
            second = clusters.get(j);
          }
        }
      }
      if (first == null || second == null) {
        return clusters;
      }
      first.add(second.lab, second.count);
      clusters.remove(second);
    }
  }

  private static int nearest(double[] lab, List<double[]> means) {
    int best = 0;
    for (int i = 1; i < means.size(); i++) {
      if (distance(lab, means.get(i)) < distance(lab, means.get(best))) {
        best = i;
      }
    }
    return best;
  }

  private static double distance(double[] a, double[] b) {
    double l = a[0] - b[0];
    double x = a[1] - b[1];
    double y = a[2] - b[2];
    return l * l + x * x + y * y;
  }

  private static Colour colour(Bin bin) {
    Colour exact = Colour.ofXyz(Oklch.xyz(bin.lab), 1).clipped();
    return new Colour(
        Math.round(exact.red()), Math.round(exact.green()), Math.round(exact.blue()), 1);
  }
}
