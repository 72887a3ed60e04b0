package yewberry.server.api;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Leading;
import yewberry.core.publication.Length;
import yewberry.server.json.Kinds;

/**
 * How core's types stand in the OpenAPI document: a sealed type as {@code oneOf} with a
 * discriminator that names each alternative, a record with all components required but the optional
 * ones, a length as text.
 */
@Component
class Schemas implements ModelConverter {
    private static final String REFERENCE = "#/components/schemas/";

    @Override
    public Schema<?> resolve(
            AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
        if (raw == Length.class) {
            return new StringSchema().description("A number and its unit: 3 mm, 12 pt, 8.5 in");
        }
        if (raw == Leading.class) {
            return new StringSchema()
                    .description("A length, or percent of the type size: 14 pt, 120 %");
        }
        if (raw == Distance.class) {
            return new StringSchema()
                    .description("A length, or so many times the type size: 3 mm, 0.5 em");
        }
        if (Kinds.ROOTS.contains(raw)) {
            return root(raw, context);
        }
        Schema<?> resolved = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
        if (raw.isRecord()) {
            complete(raw, context);
        }
        return resolved;
    }

    private static Schema<?> root(Class<?> root, ModelConverterContext context) {
        String name = root.getSimpleName();
        if (!context.getDefinedModels().containsKey(name)) {
            Schema<Object> schema = new Schema<>();
            Discriminator discriminator = new Discriminator().propertyName("type");
            for (Class<?> kind : Kinds.of(root)) {
                discriminator.mapping(Kinds.name(kind), REFERENCE + kind.getSimpleName());
                schema.addOneOfItem(reference(kind.getSimpleName()));
            }
            schema.setDiscriminator(discriminator);
            context.defineModel(name, schema);
            for (Class<?> kind : Kinds.of(root)) {
                context.resolve(new AnnotatedType(kind).resolveAsRef(true));
                Schema<?> model = context.getDefinedModels().get(kind.getSimpleName());
                Schema<?> typed = model == null ? new Schema<>().type("object") : model;
                typed.addType("object");
                typed.addProperty("type", new StringSchema()._const(Kinds.name(kind)));
                typed.addRequiredItem("type");
                context.defineModel(kind.getSimpleName(), typed);
            }
        }
        return reference(name);
    }

    private static Schema<?> reference(String name) {
        return new Schema<>().$ref(REFERENCE + name);
    }

    private static void complete(Class<?> record, ModelConverterContext context) {
        Schema<?> model = context.getDefinedModels().get(record.getSimpleName());
        if (model == null || model.getProperties() == null) {
            return;
        }
        List<String> required =
                Arrays.stream(record.getRecordComponents())
                        .filter(component -> component.getType() != Optional.class)
                        .map(RecordComponent::getName)
                        .filter(model.getProperties()::containsKey)
                        .toList();
        required.stream()
                .filter(name -> model.getRequired() == null || !model.getRequired().contains(name))
                .forEach(model::addRequiredItem);
    }
}
