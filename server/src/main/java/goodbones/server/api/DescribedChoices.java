package goodbones.server.api;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.databind.JavaType;
import goodbones.server.problems.Choices;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Describes a sealed interface as one of the records that it permits, at any depth, told apart by
 * the property that Jackson reads (OpenAPI 3.1, "Discriminator Object").
 */
@Component
class DescribedChoices implements ModelConverter {
  @Override
  public @Nullable Schema<?> resolve(
      AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
    JavaType java = Json.mapper().constructType(type.getType());
    Class<?> choice = java == null ? Object.class : java.getRawClass();
    JsonTypeInfo told = choice.getDeclaredAnnotation(JsonTypeInfo.class);
    if (!choice.isSealed() || told == null) {
      return chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
    }
    String name = choice.getSimpleName();
    if (!context.getDefinedModels().containsKey(name)) {
      context.defineModel(name, choice(Choices.of(choice).toList(), told.property(), context));
    }
    return new Schema<>().$ref("#/components/schemas/" + name);
  }

  private static Schema<?> choice(
      List<Class<?>> records, String property, ModelConverterContext context) {
    Schema<?> choice = new Schema<>();
    Discriminator discriminator = new Discriminator().propertyName(property);
    for (Class<?> one : records) {
      context.resolve(new AnnotatedType(one).resolveAsRef(true));
      String ref = "#/components/schemas/" + one.getSimpleName();
      String word = Choices.word(one);
      Schema<?> model = context.getDefinedModels().get(one.getSimpleName());
      model.addProperty(property, new StringSchema()._enum(List.of(word)));
      model.addRequiredItem(property);
      choice.addOneOfItem(new Schema<>().$ref(ref));
      discriminator.mapping(word, ref);
    }
    return choice.discriminator(discriminator);
  }
}
