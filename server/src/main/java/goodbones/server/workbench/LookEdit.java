package goodbones.server.workbench;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Look;
import goodbones.document.Node;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.server.drawing.Wording;
import goodbones.server.problems.BadInput;
import goodbones.structure.Settings;
import goodbones.style.Candidate;
import goodbones.style.Cascade;
import goodbones.style.Layer;
import goodbones.style.NamedStyle;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** How things look: settings, named styles, schemes, and on which devices they are seen. */
sealed interface LookEdit extends AskedEdit {
  /**
   * One setting of one thing or of several.
   *
   * @param value empty to take it away
   */
  @JsonTypeName("STYLE")
  record SetStyle(
      @NotEmpty List<String> nodes,
      String property,
      String device,
      @Nullable String state,
      String value)
      implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      StyleKey key = Aim.key(property, device, state);
      List<Node> on = aim.nodes(nodes);
      return new ReadEdit(
          Aim.group(on, each -> aim.setting(each, key, value)),
          (value.isBlank() ? "clear " : "set ")
              + Wording.label(on.get(0).kind(), Aspect.style(key)).toLowerCase()
              + (on.size() > 1 ? " of " + on.size() : ""));
    }
  }

  /** Several settings at once. */
  @JsonTypeName("SETTINGS")
  record SetSettings(
      @NotEmpty(message = "There is nothing to set") @Valid List<Views.Setting> settings)
      implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      List<Edit> edits = new ArrayList<>();
      Set<String> labels = new LinkedHashSet<>();
      for (Views.Setting setting : settings) {
        Node node = aim.node(setting.node());
        StyleKey key = Aim.key(setting.property(), setting.device(), setting.state());
        edits.add(aim.setting(node, key, setting.value()));
        labels.add(Wording.label(node.kind(), Aspect.style(key)).toLowerCase());
      }
      return new ReadEdit(new Edit.Group(edits), "set " + String.join(", ", labels));
    }
  }

  /**
   * One step back on the source trail: takes the value that is shown away, where the node gives it.
   */
  @JsonTypeName("BACK")
  record GoBack(String node, String property, String device, @Nullable String state)
      implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      StyleKey asked = Aim.key(property, device, state);
      Candidate won =
          new Cascade(aim.shown().root(), aim.shown(), aim.finishes())
              .won(on, asked.property(), asked.device(), asked.state());
      if (!Ladders.goesBack(won)) {
        throw Refused.at(
            on, "It does not set this itself; change it where the trail says it comes from");
      }
      StyleKey key = new StyleKey(asked.property(), won.device(), won.state());
      String label = "back: " + Wording.label(on.kind(), Aspect.style(key)).toLowerCase();
      if (won.source() == Layer.Source.LOCAL) {
        Aspect aspect = Aspect.style(key);
        if (aim.shown().isChanged(on.id(), aspect)) {
          return new ReadEdit(
              new Edit.SetLocal(
                  aim.shown().carrier(on.id()).orElseThrow(),
                  aim.shown().key(on.id(), aspect),
                  Optional.empty()),
              label);
        }
      }
      return new ReadEdit(new Edit.SetStyle(on.id(), key, Optional.empty()), label);
    }
  }

  /**
   * @param ids the named styles, the last one named wins
   */
  @JsonTypeName("NAMED_STYLES")
  record SetNamedStyles(String node, List<String> ids) implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      aim.requireNamedStyles(ids);
      return new ReadEdit(
          new Edit.SetNamedStyles(on.id(), ids), "set the named styles of " + Wording.title(on));
    }
  }

  /** A named style of a thing's own settings, put on it in place of them. */
  @JsonTypeName("MAKE_STYLE")
  record MakeStyle(String node, String name) implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      String wanted = name.strip();
      if (wanted.isEmpty() || wanted.length() > Catalogue.NAME_LIMIT) {
        throw new BadInput(
            "name", "Give the style a name of 1 to " + Catalogue.NAME_LIMIT + " characters");
      }
      if (aim.finishes().namedStyles().stream().anyMatch(s -> s.name().equalsIgnoreCase(wanted))) {
        throw new BadInput(
            "name", "There is a named style “" + wanted + "” already; give another name");
      }
      Look look = Look.of(on);
      if (look.styles().isEmpty()) {
        throw Refused.at(on, "It has no settings of its own to make a named style of");
      }
      NamedStyle style = new NamedStyle(UUID.randomUUID().toString(), wanted, look.styles());
      List<Edit> edits = new ArrayList<>();
      look.styles()
          .keySet()
          .forEach(key -> edits.add(new Edit.SetStyle(on.id(), key, Optional.empty())));
      List<String> ids = new ArrayList<>(on.namedStyles());
      ids.add(style.id());
      edits.add(new Edit.SetNamedStyles(on.id(), ids));
      return new ReadEdit(
          new Edit.Group(edits), "make the style “" + wanted + "”", Optional.of(style));
    }
  }

  /**
   * Lays a look that was taken from another thing on some.
   *
   * @param look style keys with their values
   * @param ids named styles
   */
  @JsonTypeName("LAY_LOOK")
  record LayLook(
      @NotEmpty List<String> nodes, @Size(max = 2000) Map<String, String> look, List<String> ids)
      implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      aim.requireNamedStyles(ids);
      TreeMap<StyleKey, StyleValue> styles = new TreeMap<>();
      look.forEach(
          (key, value) -> {
            StyleKey at = StyleKey.parse(key);
            StyleValue read = aim.finishes().read(value);
            aim.finishes().require(at.property(), read);
            styles.put(at, read);
          });
      Look laid = new Look(styles, ids);
      List<Node> on = aim.nodes(nodes);
      return new ReadEdit(Aim.group(on, laid::on), "lay a look on " + Wording.titles(on));
    }
  }

  /**
   * @param scheme the id of a colour scheme; empty for the one around it
   */
  @JsonTypeName("SCHEME")
  record SetScheme(String node, String scheme) implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      if (!scheme.isEmpty() && aim.finishes().house().scheme(scheme).isEmpty()) {
        throw new BadInput("scheme", "There is no colour scheme “" + scheme + "” here");
      }
      return new ReadEdit(
          new Edit.SetScheme(on.id(), Optional.of(scheme).filter(s -> !s.isEmpty())),
          "set the colour scheme of " + Wording.title(on));
    }
  }

  /** Hides things on a device, or shows them there. */
  @JsonTypeName("HIDE")
  record Hide(@NotEmpty List<String> nodes, String device, boolean on) implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Device at = Device.ofWord(device);
      List<Node> wanted = aim.nodes(nodes);
      return new ReadEdit(
          Aim.group(wanted, each -> new Edit.SetVisibility(each.id(), hidden(each, at))),
          (on ? "hide " : "show ") + Wording.titles(wanted) + " on " + at.word());
    }

    private Set<Device> hidden(Node node, Device at) {
      Set<Device> hidden = EnumSet.noneOf(Device.class);
      hidden.addAll(node.hiddenOn());
      if (on) {
        hidden.add(at);
      } else {
        hidden.remove(at);
      }
      return hidden;
    }
  }

  /** What the children of a thing share becomes its own. */
  @JsonTypeName("GATHER")
  record Gather(String node, String property) implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      List<Settings.Gathered> found =
          new Settings(aim.bench())
              .gatherable(on.id()).stream()
                  .filter(gathered -> gathered.property().key().equals(property))
                  .toList();
      if (found.isEmpty()) {
        throw Refused.at(
            on,
            "What is in it does not share this setting any more, or gathering it would change how it"
                + " looks");
      }
      return new ReadEdit(
          new Edit.Group(found.stream().map(Settings.Gathered::edit).toList()),
          "gather "
              + found.stream()
                  .map(gathered -> gathered.property().label().toLowerCase())
                  .collect(Collectors.joining(", ")));
    }
  }

  /**
   * Carries one setting a level on the ladder.
   *
   * @param down to the children; otherwise up to the container
   */
  @JsonTypeName("CARRY")
  record Carry(String node, String property, String device, @Nullable String state, boolean down)
      implements LookEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      StyleKey key = Aim.key(property, device, state);
      Settings settings = new Settings(aim.bench());
      return new ReadEdit(
          down ? settings.down(on.id(), key) : settings.up(on.id(), key),
          "carry " + key.property().label().toLowerCase() + (down ? " down" : " up"));
    }
  }
}
