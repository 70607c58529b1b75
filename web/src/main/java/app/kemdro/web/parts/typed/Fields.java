package app.kemdro.web.parts.typed;

import java.beans.PropertyDescriptor;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.BeanUtils;
import org.springframework.beans.BeanWrapperImpl;

/** The fields of a form's object, by the names they have on its page. */
public final class Fields {
    private Fields() {}

    /** Text as it is, what is true as "true", lists of texts as their values, lists of rows as {@code rows[0].field}. */
    public static Map<String, List<String>> of(Object form) {
        Map<String, List<String>> fields = new LinkedHashMap<>();
        put("", form, fields);
        return fields;
    }

    private static void put(String before, Object bean, Map<String, List<String>> fields) {
        BeanWrapperImpl wrapped = new BeanWrapperImpl(bean);
        for (PropertyDescriptor property : wrapped.getPropertyDescriptors()) {
            if (property.getWriteMethod() == null) {
                continue;
            }
            String name = before + property.getName();
            Object value = wrapped.getPropertyValue(property.getName());
            if (value instanceof Boolean yes) {
                fields.put(name, yes ? List.of("true") : List.of());
            } else if (value instanceof Collection<?> all) {
                int row = 0;
                for (Object one : all) {
                    if (!BeanUtils.isSimpleProperty(one.getClass())) {
                        put(name + "[" + row + "].", one, fields);
                    }
                    row++;
                }
                if (all.stream().allMatch(o -> BeanUtils.isSimpleProperty(o.getClass()))) {
                    fields.put(name, all.stream().map(String::valueOf).toList());
                }
            } else {
                fields.put(name, value == null ? List.of() : List.of(value.toString()));
            }
        }
    }
}
