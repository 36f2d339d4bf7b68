package goodbones.server.documents;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Options;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesStep;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/**
 * Writes core values as JSON for keeping, and reads them again. Keys and style values are written
 * in their text forms.
 */
public final class DocumentJson {
  private static final JsonMapper MAPPER = mapper();

  private DocumentJson() {}

  public static String write(Object value) {
    return MAPPER.writeValueAsString(value);
  }

  /**
   * @throws IllegalStateException if what was kept cannot be read, which is a fault of the
   *     application
   */
  public static <T> T read(String json, Class<T> type) {
    try {
      return MAPPER.readValue(json, type);
    } catch (JacksonException e) {
      throw new IllegalStateException("a kept " + type.getSimpleName() + " cannot be read", e);
    }
  }

  private static JsonMapper mapper() {
    SimpleModule module = new SimpleModule("documents");
    text(module, StyleKey.class, StyleKey::parse);
    text(module, LocalKey.class, LocalKey::parse);
    text(module, NodeId.class, NodeId::of);
    text(module, Aspect.class, Aspect::parse);
    text(module, StyleValue.class, StyleValue::parse);
    return JsonMapper.builder()
        .addModule(module)
        .addMixIn(Node.class, NodeMixin.class)
        .addMixIn(FieldValue.class, FieldValueMixin.class)
        .addMixIn(FieldValue.Words.class, WordsMixin.class)
        .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
        .addMixIn(LocalValue.class, LocalValueMixin.class)
        .addMixIn(Edit.class, EditMixin.class)
        .addMixIn(FinishesEdit.class, FinishesEditMixin.class)
        .addMixIn(FinishesStep.class, FinishesStepMixin.class)
        .build();
  }

  private static <T> void text(SimpleModule module, Class<T> type, Function<String, T> parse) {
    module.addSerializer(
        type,
        new ValueSerializer<T>() {
          @Override
          public void serialize(T value, JsonGenerator out, SerializationContext context) {
            out.writeString(value.toString());
          }
        });
    module.addDeserializer(
        type,
        new ValueDeserializer<T>() {
          @Override
          public T deserialize(JsonParser in, DeserializationContext context) {
            return parse.apply(in.getString());
          }
        });
    module.addKeySerializer(
        type,
        new ValueSerializer<T>() {
          @Override
          public void serialize(T value, JsonGenerator out, SerializationContext context) {
            out.writeName(value.toString());
          }
        });
    module.addKeyDeserializer(
        type,
        new KeyDeserializer() {
          @Override
          public Object deserializeKey(String key, DeserializationContext context) {
            return parse.apply(key);
          }
        });
  }

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
  @JsonSubTypes({
    @Type(value = FieldValue.Words.class, name = "words"),
    @Type(value = FieldValue.Picture.class, name = "picture"),
    @Type(value = FieldValue.Link.class, name = "link"),
    @Type(value = FieldValue.Menu.class, name = "menu"),
    @Type(value = FieldValue.Icon.class, name = "icon"),
    @Type(value = FieldValue.Level.class, name = "level")
  })
  private interface FieldValueMixin {}

  /** At most nodes there is nothing to choose. */
  private interface NodeMixin {
    @JsonInclude(value = JsonInclude.Include.CUSTOM, valueFilter = Nothing.class)
    Options options();
  }

  /** Equal to what is left out. */
  private static final class Nothing {
    @Override
    public boolean equals(@Nullable Object other) {
      return Options.NONE.equals(other);
    }

    @Override
    public int hashCode() {
      return 0;
    }
  }

  /** Most words are plain. */
  @JsonInclude(JsonInclude.Include.NON_EMPTY)
  private interface WordsMixin {
    @JsonInclude(JsonInclude.Include.NON_DEFAULT)
    boolean standIn();
  }

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
  @JsonSubTypes({
    @Type(value = LocalValue.ContentIs.class, name = "content"),
    @Type(value = LocalValue.StyleIs.class, name = "style"),
    @Type(value = LocalValue.HiddenOn.class, name = "hidden"),
    @Type(value = LocalValue.NamedStylesAre.class, name = "named-styles"),
    @Type(value = LocalValue.SchemeIs.class, name = "scheme"),
    @Type(value = LocalValue.IsRemoved.class, name = "removed"),
    @Type(value = LocalValue.SwitchedIs.class, name = "switched"),
    @Type(value = LocalValue.VariantIs.class, name = "variant"),
    @Type(value = LocalValue.ItemsAre.class, name = "items"),
    @Type(value = LocalValue.PlacedUnder.class, name = "placed")
  })
  private interface LocalValueMixin {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "do")
  @JsonSubTypes({
    @Type(value = Edit.Insert.class, name = "insert"),
    @Type(value = Edit.Remove.class, name = "remove"),
    @Type(value = Edit.Move.class, name = "move"),
    @Type(value = Edit.SetContent.class, name = "set-content"),
    @Type(value = Edit.SetStyle.class, name = "set-style"),
    @Type(value = Edit.SetVisibility.class, name = "set-visibility"),
    @Type(value = Edit.SetNamedStyles.class, name = "set-named-styles"),
    @Type(value = Edit.SetScheme.class, name = "set-scheme"),
    @Type(value = Edit.SetSlot.class, name = "set-slot"),
    @Type(value = Edit.SetSiteSlot.class, name = "set-site-slot"),
    @Type(value = Edit.SetWant.class, name = "set-want"),
    @Type(value = Edit.SetOptional.class, name = "set-optional"),
    @Type(value = Edit.SetVariant.class, name = "set-variant"),
    @Type(value = Edit.Switch.class, name = "switch"),
    @Type(value = Edit.ShowVariant.class, name = "show-variant"),
    @Type(value = Edit.FillSite.class, name = "fill-site"),
    @Type(value = Edit.Rename.class, name = "rename"),
    @Type(value = Edit.SetLocal.class, name = "set-local"),
    @Type(value = Edit.SetOrder.class, name = "set-order"),
    @Type(value = Edit.SetPin.class, name = "set-pin"),
    @Type(value = Edit.SetPlacement.class, name = "set-placement"),
    @Type(value = Edit.Group.class, name = "group")
  })
  private interface EditMixin {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "do")
  @JsonSubTypes({
    @Type(value = FinishesEdit.PutToken.class, name = "put-token"),
    @Type(value = FinishesEdit.PutNamedStyle.class, name = "put-named-style"),
    @Type(value = FinishesEdit.PutScheme.class, name = "put-scheme"),
    @Type(value = FinishesEdit.PutDefault.class, name = "put-default"),
    @Type(value = FinishesEdit.PutFile.class, name = "put-file"),
    @Type(value = FinishesEdit.Group.class, name = "group")
  })
  private interface FinishesEditMixin {}

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "at")
  @JsonSubTypes({
    @Type(value = FinishesStep.House.class, name = "house"),
    @Type(value = FinishesStep.Site.class, name = "site"),
    @Type(value = FinishesStep.Several.class, name = "several")
  })
  private interface FinishesStepMixin {}
}
