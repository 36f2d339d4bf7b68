package goodbones.server.api;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Describes every part of a record as required, but for those that may be null. */
@Component
class RequiredUnlessNullable implements ModelConverter {
  @Override
  public @Nullable Schema<?> resolve(
      AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
    if (!chain.hasNext()) {
      return null;
    }
    Schema<?> schema = chain.next().resolve(type, context, chain);
    JavaType java = Json.mapper().constructType(type.getType());
    if (schema != null && java != null && java.getRawClass().isRecord()) {
      String ref = schema.get$ref();
      Schema<?> model =
          ref == null
              ? schema
              : context.getDefinedModels().get(ref.substring(ref.lastIndexOf('/') + 1));
      if (model != null) {
        require(java.getRawClass(), model);
      }
    }
    return schema;
  }

  private static void require(Class<?> record, Schema<?> model) {
    for (RecordComponent component : record.getRecordComponents()) {
      boolean nullable = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
      boolean listed =
          model.getRequired() != null && model.getRequired().contains(component.getName());
      if (!nullable && !listed) {
        model.addRequiredItem(component.getName());
      }
    }
  }
}
