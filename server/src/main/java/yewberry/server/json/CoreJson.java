package yewberry.server.json;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonValue;
import com.fasterxml.jackson.annotation.Nulls;
import java.util.Collection;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;
import yewberry.core.edit.Change;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Element;
import yewberry.core.publication.Elements;
import yewberry.core.publication.Leading;
import yewberry.core.publication.Length;

/** How core's values look as JSON. Core itself knows nothing of it. */
public final class CoreJson {
    private CoreJson() {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    private interface ByType {}

    /** In a patch an element says its kind; alone it is known by where it stands. */
    private interface KindOfElement {
        @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
        Element element();
    }

    /** A length is text with its unit, {@code "3 mm"}. */
    private abstract static class LengthAsText {
        @JsonCreator
        static Length read(String text) {
            return Length.read(text);
        }

        @Override
        @JsonValue
        public abstract String toString();
    }

    /** A leading is text, too, {@code "14 pt"} or {@code "120 %"}. */
    private abstract static class LeadingAsText {
        @JsonCreator
        static Leading read(String text) {
            return Leading.read(text);
        }

        @Override
        @JsonValue
        public abstract String toString();
    }

    /** A distance as well, {@code "3 mm"} or {@code "0.5 em"}. */
    private abstract static class DistanceAsText {
        @JsonCreator
        static Distance read(String text) {
            return Distance.read(text);
        }

        @Override
        @JsonValue
        public abstract String toString();
    }

    private abstract static class ElementsFromList {
        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        static <T extends Element> Elements<T> of(Collection<T> elements) {
            return Elements.of(elements);
        }
    }

    /** Teaches a mapper core's types; whatever is missing, null or unknown is refused. */
    public static JsonMapper.Builder teach(JsonMapper.Builder builder) {
        for (Class<?> root : Kinds.ROOTS) {
            builder.addMixIn(root, ByType.class);
            for (Class<?> kind : Kinds.of(root)) {
                builder.registerSubtypes(new NamedType(kind, Kinds.name(kind)));
            }
        }
        for (Class<?> kind : Kinds.of(Element.class)) {
            builder.registerSubtypes(new NamedType(kind, Kinds.name(kind)));
        }
        return builder.addModule(Defaults.module())
                .addMixIn(Change.Placed.class, KindOfElement.class)
                .addMixIn(Length.class, LengthAsText.class)
                .addMixIn(Leading.class, LeadingAsText.class)
                .addMixIn(Distance.class, DistanceAsText.class)
                .addMixIn(Elements.class, ElementsFromList.class)
                .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                // a question like Patch.isEmpty is no part of the value
                .changeDefaultVisibility(
                        seen -> seen.withIsGetterVisibility(JsonAutoDetect.Visibility.NONE))
                .changeDefaultPropertyInclusion(
                        inclusion -> inclusion.withValueInclusion(JsonInclude.Include.NON_ABSENT))
                .changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL));
    }

    public static JsonMapper mapper() {
        return teach(JsonMapper.builder()).build();
    }
}
