package goodbones.server.workbench;

import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.layout.Measured;
import goodbones.layout.Screen;
import goodbones.server.drawing.Wording;
import goodbones.server.pictures.Picture;
import goodbones.server.pictures.Pictures;
import goodbones.server.workbench.Views.FitView;
import goodbones.structure.GaveWay;
import goodbones.style.Cascade;
import goodbones.survey.Fit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Says what does not fit where it was put down. */
@Component
class FitReport {
  private static final double LINE = 24;
  private final Pictures pictures;

  FitReport(Pictures pictures) {
    this.pictures = pictures;
  }

  /**
   * What the frames measured.
   *
   * @param nodes what was put down
   * @param screens the screens' sizes by device: width and height
   * @param words the sizes of words by device and node: width and height
   */
  record Asked(
      List<String> nodes,
      Map<String, List<Double>> screens,
      Map<String, Map<String, List<Double>>> words) {}

  List<FitView> of(Desk desk, Asked asked) {
    Node page = desk.shown().root();
    Map<Device, Screen> screens = new EnumMap<>(Device.class);
    asked
        .screens()
        .forEach(
            (word, size) -> {
              Device device = Device.ofWord(word);
              screens.put(device, new Screen(device, size.get(0), size.get(1)));
            });
    List<Fit.Finding> findings =
        Fit.of(
            page,
            new Cascade(page, desk.shown(), desk.look()),
            desk.look(),
            asked.nodes().stream().map(NodeId::of).toList(),
            screens,
            device -> new Sizes(asked.words().getOrDefault(device.word(), Map.of())));
    return findings.stream().map(finding -> view(desk, finding)).toList();
  }

  /** Named styles that are not known here, by the nodes that had them. */
  static List<FitView> gaveWay(Node page, List<GaveWay> styles) {
    List<FitView> views = new ArrayList<>();
    for (GaveWay style : styles) {
      String put = "/" + style.node();
      page.all().stream()
          .filter(node -> ("/" + node.id()).endsWith(put))
          .findFirst()
          .ifPresent(node -> views.add(view(node, style)));
    }
    return views;
  }

  private static FitView view(Node node, GaveWay style) {
    int count = style.settings().size();
    String kept =
        count == 0
            ? "nothing of it is left here"
            : "what it said is kept here as " + count + (count == 1 ? " setting" : " settings");
    return new FitView(
        node.id().value(),
        Wording.title(node),
        "named_style",
        Device.DESKTOP.word(),
        "This client has no named style “" + style.name() + "”; " + kept,
        count == 0 ? "" : "Take this client’s own look",
        style.settings().stream()
            .map(
                key ->
                    new Views.Setting(
                        node.id().value(),
                        key.property().key(),
                        key.device().word(),
                        key.state().word(),
                        ""))
            .toList());
  }

  private static FitView view(Desk desk, Fit.Finding finding) {
    return new FitView(
        finding.node().value(),
        desk.shown().root().find(finding.node()).map(Wording::title).orElse(""),
        finding.check().name().toLowerCase(),
        finding.device().word(),
        finding.says(),
        finding.mend(),
        finding.settings().stream()
            .map(
                setting ->
                    new Views.Setting(
                        setting.node().value(),
                        setting.key().property().key(),
                        setting.key().device().word(),
                        setting.key().state().word(),
                        setting.value().map(desk.look()::written).orElse("")))
            .toList());
  }

  /** Words as the frames measured them; pictures as they are kept. */
  private final class Sizes implements Measured {
    private final Map<String, List<Double>> words;

    Sizes(Map<String, List<Double>> words) {
      this.words = words;
    }

    private double of(Node element, int side) {
      List<Double> size = words.get(element.id().value());
      return size == null || size.size() < 2 ? LINE : size.get(side);
    }

    @Override
    public double height(Node element, double width) {
      return of(element, 1);
    }

    @Override
    public double width(Node element) {
      return of(element, 0);
    }

    @Override
    public double narrowest(Node element) {
      return 0;
    }

    @Override
    public double ratio(Node picture) {
      if (picture.content().get("picture") instanceof FieldValue.Picture stored
          && pictures.exists(stored.pictureId())) {
        Picture file = pictures.get(stored.pictureId());
        return (double) file.width() / file.height();
      }
      return 3.0 / 2;
    }
  }
}
