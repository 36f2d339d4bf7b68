package goodbones.server.api;

import goodbones.server.problems.BadInput;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Collection;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * Holds requests to the description of the API: every part of a record that is not nullable is
 * there, at any depth, before a controller sees it. See {@link RequiredUnlessNullable}.
 */
@ControllerAdvice
class RequiredParts extends RequestBodyAdviceAdapter {
  @Override
  public boolean supports(
      MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
    return true;
  }

  @Override
  public Object afterBodyRead(
      Object body,
      HttpInputMessage message,
      MethodParameter parameter,
      Type type,
      Class<? extends HttpMessageConverter<?>> converter) {
    require(body, "");
    return body;
  }

  private static void require(Object value, String where) {
    if (value instanceof Record) {
      for (RecordComponent part : value.getClass().getRecordComponents()) {
        String name = where.isEmpty() ? part.getName() : where + "." + part.getName();
        Object inside = get(part, value);
        boolean nullable = part.getAnnotatedType().isAnnotationPresent(Nullable.class);
        if (inside != null) {
          require(inside, name);
        } else if (!nullable) {
          throw missing(name);
        }
      }
    } else if (value instanceof Collection<?> list) {
      int at = 0;
      for (Object inside : list) {
        requireInside(inside, where + "[" + at++ + "]");
      }
    } else if (value instanceof Map<?, ?> map) {
      map.forEach((key, inside) -> requireInside(inside, where + "." + key));
    }
  }

  private static void requireInside(@Nullable Object inside, String where) {
    if (inside == null) {
      throw missing(where);
    }
    require(inside, where);
  }

  private static BadInput missing(String name) {
    return new BadInput(name, "“" + name + "” is missing");
  }

  private static @Nullable Object get(RecordComponent part, Object record) {
    try {
      // Records of controllers are package-private.
      part.getAccessor().setAccessible(true);
      return part.getAccessor().invoke(record);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException(e);
    }
  }
}
