package yewberry.server.json;

import java.util.Map;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.BeanDescription;
import tools.jackson.databind.DeserializationConfig;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.ValueDeserializerModifier;
import tools.jackson.databind.deser.std.DelegatingDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;
import yewberry.core.color.BlendMode;
import yewberry.core.output.OutputSettings;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Border;
import yewberry.core.publication.Destination;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Hold;
import yewberry.core.publication.Keeps;
import yewberry.core.publication.Language;
import yewberry.core.publication.Letters;
import yewberry.core.publication.Look;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.PressChecks;
import yewberry.core.publication.RunningFields;
import yewberry.core.publication.Setup;
import yewberry.core.publication.TextChecks;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.TextSetting;

/**
 * What stands for a property that is left out: those that came later than the rest, so that what an
 * older version stored and what is sent without them still has a meaning.
 */
final class Defaults {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private static final Map<Class<?>, Map<String, JsonNode>> BY_TYPE =
            Map.ofEntries(
                    Map.entry(Asset.class, Map.of("recolored", JSON.arrayNode())),
                    Map.entry(Asset.Document.class, Map.of("encrypted", JSON.booleanNode(false))),
                    Map.entry(Border.class, Map.of("carriesMeaning", JSON.booleanNode(false))),
                    Map.entry(
                            Background.class,
                            Map.of(
                                    "over", JSON.booleanNode(false),
                                    "opacity", JSON.numberNode(100),
                                    "blend", JSON.stringNode(BlendMode.NORMAL.name()),
                                    "goesTo", goesTo(Background.GoesTo.BOTH))),
                    Map.entry(
                            Look.class,
                            Map.of(
                                    "italic", JSON.booleanNode(false),
                                    "overprint", JSON.stringNode(Look.Overprint.BLACK.name()),
                                    "setting", setting(TextSetting.USUAL))),
                    Map.entry(
                            TextSetting.class,
                            Map.of(
                                    "hyphenated", JSON.booleanNode(false),
                                    "keeps", keeps(Keeps.USUAL),
                                    "letters", letters(Letters.USUAL),
                                    "tabs", JSON.arrayNode())),
                    Map.entry(
                            Keeps.class,
                            Map.of("begin", JSON.stringNode(Keeps.Begin.ANYWHERE.name()))),
                    Map.entry(FrameSetting.class, Map.of("rotation", JSON.numberNode(0))),
                    Map.entry(
                            TextFrame.class,
                            Map.of(
                                    "setting",
                                    setting(FrameSetting.USUAL),
                                    "locked",
                                    JSON.booleanNode(false),
                                    "hold",
                                    hold(Hold.TOP_LEFT))),
                    Map.entry(
                            Setup.class,
                            Map.of(
                                    "language", JSON.stringNode(Language.ENGLISH_BRITISH.name()),
                                    "checks", checks(PressChecks.USUAL),
                                    "textChecks", checks(TextChecks.USUAL),
                                    "running", running(RunningFields.USUAL),
                                    "destination", JSON.stringNode(Destination.PAPER.name()))),
                    Map.entry(
                            OutputSettings.class,
                            Map.of(
                                    "pages", JSON.stringNode(""),
                                    "overprintShown", JSON.booleanNode(false),
                                    "claims", JSON.booleanNode(true),
                                    "backgrounds", JSON.booleanNode(true),
                                    "flattened", JSON.booleanNode(false),
                                    "ppi", JSON.numberNode(144),
                                    "spreads", JSON.booleanNode(false),
                                    "toBleed", JSON.booleanNode(false),
                                    "fileName", JSON.stringNode(""))),
                    Map.entry(PictureFrame.class, Map.of("hold", hold(Hold.TOP_LEFT))));

    private static JsonNode hold(Hold hold) {
        return JSON.objectNode()
                .put("across", hold.across().name())
                .put("down", hold.down().name());
    }

    private static JsonNode goesTo(Background.GoesTo to) {
        return JSON.objectNode().put("screen", to.screen()).put("paper", to.paper());
    }

    private static JsonNode running(RunningFields running) {
        return JSON.objectNode()
                .put("digits", running.digits())
                .put("start", running.start())
                .put("restarts", running.restarts())
                .put("form", running.form().name());
    }

    private static JsonNode checks(TextChecks checks) {
        return JSON.objectNode()
                .put("normal", checks.normal())
                .put("large", checks.large())
                .put("leftOut", checks.leftOut());
    }

    private static JsonNode checks(PressChecks checks) {
        return JSON.objectNode()
                .put("smallType", checks.smallType().toString())
                .put("smallTypeInks", checks.smallTypeInks())
                .put("reversedInks", checks.reversedInks())
                .put("plainBlack", checks.plainBlack());
    }

    private static JsonNode setting(TextSetting setting) {
        return JSON.objectNode()
                .put("after", setting.after().toString())
                .put("first", setting.first().toString())
                .put("left", setting.left().toString())
                .put("right", setting.right().toString())
                .put("tracking", setting.tracking())
                .set(
                        "spaces",
                        JSON.objectNode()
                                .put("least", setting.spaces().least())
                                .put("most", setting.spaces().most()));
    }

    private static JsonNode letters(Letters letters) {
        return JSON.objectNode()
                .put("capitals", letters.capitals().name())
                .put("figures", letters.figures().name());
    }

    private static JsonNode keeps(Keeps keeps) {
        return JSON.objectNode()
                .put("first", keeps.first())
                .put("last", keeps.last())
                .put("together", keeps.together())
                .put("withNext", keeps.withNext());
    }

    private static JsonNode setting(FrameSetting setting) {
        return JSON.objectNode()
                .put("inset", setting.inset().toString())
                .put("columns", setting.columns())
                .put("gap", setting.gap().toString())
                .put("vertical", setting.vertical().name());
    }

    private Defaults() {}

    static SimpleModule module() {
        SimpleModule module = new SimpleModule("defaults");
        module.setDeserializerModifier(
                new ValueDeserializerModifier() {
                    @Override
                    public ValueDeserializer<?> modifyDeserializer(
                            DeserializationConfig config,
                            BeanDescription.Supplier description,
                            ValueDeserializer<?> deserializer) {
                        Map<String, JsonNode> defaults = BY_TYPE.get(description.getBeanClass());
                        return defaults == null
                                ? deserializer
                                : new Completing(deserializer, defaults);
                    }
                });
        return module;
    }

    /** Puts in what is left out, and leaves the rest to the usual way of reading. */
    private static final class Completing extends DelegatingDeserializer {
        private final Map<String, JsonNode> defaults;

        Completing(ValueDeserializer<?> usual, Map<String, JsonNode> defaults) {
            super(usual);
            this.defaults = defaults;
        }

        @Override
        protected ValueDeserializer<?> newDelegatingInstance(ValueDeserializer<?> usual) {
            return new Completing(usual, defaults);
        }

        @Override
        public Object deserialize(JsonParser parser, DeserializationContext context) {
            JsonNode tree = context.readTree(parser);
            if (tree instanceof ObjectNode object) {
                defaults.forEach((name, value) -> {
                    if (!object.has(name)) {
                        object.set(name, value);
                    }
                });
            }
            try (JsonParser again = tree.traverse(context)) {
                again.nextToken();
                return super.deserialize(again, context);
            }
        }
    }
}
