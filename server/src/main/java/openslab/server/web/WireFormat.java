package openslab.server.web;

import com.fasterxml.jackson.annotation.Nulls;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import openslab.core.product.Packed;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Line;
import openslab.core.quantity.Source;
import openslab.core.quantity.Text;
import openslab.core.quantity.Unit;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.module.SimpleModule;

/** How core types look on the wire. Reports leave the core as they are; figures leave it ready to be read. */
@Configuration
public class WireFormat {
    static {
        SpringDocUtils.getConfig()
                .replaceWithClass(Figure.class, FigureView.class)
                .replaceWithClass(Source.class, SourceView.class)
                .replaceWithClass(Unit.class, UnitView.class)
                .replaceWithClass(Packed.class, Double.class);
    }

    /**
     * A figure with its working.
     *
     * @param text as the job reads it; {@code also} as the other system does, empty where both read alike
     * @param steps its working; {@code source} where it is known from. Both left out of a brief answer
     */
    public record FigureView(
            String label,
            String text,
            String also,
            double value,
            String unit,
            Optional<List<StepView>> steps,
            Optional<SourceView> source) {
        public static FigureView of(Figure f) {
            List<String> numbers = f.substituted();
            var steps = new ArrayList<StepView>(numbers.size());
            for (int i = 0; i < numbers.size(); i++) {
                Line l = f.lines().get(i);
                steps.add(new StepView(l.symbol(), l.meaning(), l.formula(), numbers.get(i), l.shown(), also(l, f)));
            }
            return new FigureView(
                    f.label(),
                    f.text(),
                    f.also(),
                    f.value(),
                    f.unit().code(),
                    Optional.of(steps),
                    Optional.of(SourceView.of(f.source())));
        }

        /** Without its working. */
        static FigureView brief(Figure f) {
            return new FigureView(
                    f.label(), f.text(), f.also(), f.value(), f.unit().code(), Optional.empty(), Optional.empty());
        }

        /** A given in the job's own units, where the working runs in others. */
        private static String also(Line line, Figure f) {
            if (!line.isGiven() || f.readsLike(line)) {
                return "";
            }
            return new Figure("", line.value(), line.unit(), f.system(), List.of(), f.source()).text();
        }

        /** Field by field: a job is hundreds of figures, and finding each field anew took half of its time. */
        void writeTo(JsonGenerator json) {
            json.writeStartObject();
            json.writeStringProperty("label", label);
            json.writeStringProperty("text", text);
            json.writeStringProperty("also", also);
            json.writeNumberProperty("value", value);
            json.writeStringProperty("unit", unit);
            steps.ifPresent(worked -> write(worked, json));
            source.ifPresent(from -> {
                json.writeObjectPropertyStart("source");
                json.writeStringProperty("kind", from.kind());
                json.writeStringProperty("sentence", from.sentence());
                json.writeEndObject();
            });
            json.writeEndObject();
        }

        private static void write(List<StepView> steps, JsonGenerator json) {
            json.writeArrayPropertyStart("steps");
            for (StepView step : steps) {
                json.writeStartObject();
                json.writeStringProperty("symbol", step.symbol());
                json.writeStringProperty("meaning", step.meaning());
                json.writeStringProperty("formula", step.formula());
                json.writeStringProperty("numbers", step.numbers());
                json.writeStringProperty("value", step.value());
                json.writeStringProperty("also", step.also());
                json.writeEndObject();
            }
            json.writeEndArray();
        }
    }

    /** @param formula in symbols; {@code numbers} the same with today's numbers, both empty for a given */
    public record StepView(String symbol, String meaning, String formula, String numbers, String value, String also) {}

    public record SourceView(String kind, String sentence) {
        static SourceView of(Source s) {
            return new SourceView(s.kind().name(), s.sentence());
        }
    }

    /** @param symbol as a person reads it; {@code code} as a program does: a difference of temperatures is told apart from a temperature */
    public record UnitView(String symbol, String code) {}

    @Bean
    SimpleModule coreTypes() {
        return new SimpleModule("core")
                .addSerializer(Figure.class, figures())
                .addSerializer(Source.class, as(SourceView::of))
                .addSerializer(Unit.class, as(u -> new UnitView(u.symbol(), u.code())))
                .addSerializer(Packed.class, as(Packed::amount))
                .addDeserializer(String.class, texts())
                .addKeyDeserializer(String.class, keys());
    }

    @Bean
    JsonMapperBuilderCustomizer strict() {
        return builder -> builder.enable(MapperFeature.DEFAULT_VIEW_INCLUSION)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                // nothing stands in for one of a list: it is left out, or it is a value
                .changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL));
    }

    /** JSON only: a library brings another form along, that knows nothing of ours. */
    @Bean
    WebMvcConfigurer noYaml() {
        return new WebMvcConfigurer() {
            @Override
            public void configureMessageConverters(HttpMessageConverters.ServerBuilder builder) {
                builder.configureMessageConvertersList(all -> all.removeIf(
                        c -> c.getSupportedMediaTypes().stream().anyMatch(MediaType.APPLICATION_YAML::includes)
                                && c.getSupportedMediaTypes().stream().noneMatch(MediaType.ALL::equals)));
            }
        };
    }

    private static ValueSerializer<Figure> figures() {
        return new ValueSerializer<>() {
            @Override
            public void serialize(Figure figure, JsonGenerator json, SerializationContext context) {
                boolean brief = context.getActiveView() == Brief.class;
                (brief ? FigureView.brief(figure) : FigureView.of(figure)).writeTo(json);
            }
        };
    }

    /** Text that no document could hold is refused where it comes in, whatever field it is in. */
    private static ValueDeserializer<String> texts() {
        return new ValueDeserializer<>() {
            @Override
            public String deserialize(JsonParser json, DeserializationContext context) {
                if (!json.hasToken(JsonToken.VALUE_STRING)
                        && !json.currentToken().isScalarValue()) {
                    return (String) context.handleUnexpectedToken(String.class, json);
                }
                return whole(json.getValueAsString(), context);
            }
        };
    }

    private static KeyDeserializer keys() {
        return new KeyDeserializer() {
            @Override
            public Object deserializeKey(String key, DeserializationContext context) {
                return whole(key, context);
            }
        };
    }

    private static String whole(String text, DeserializationContext context) {
        if (text != null && !Text.isWhole(text)) {
            throw context.weirdStringException(text, String.class, "half a character, or none");
        }
        return text;
    }

    private static <T> ValueSerializer<T> as(java.util.function.Function<T, Object> view) {
        return new ValueSerializer<>() {
            @Override
            public void serialize(T value, JsonGenerator json, SerializationContext context) {
                context.writeValue(json, view.apply(value));
            }
        };
    }

    /** The API's title page; the address is left relative, so that the committed copy is the same on every machine. */
    @Bean
    OpenAPI openApi() {
        return new OpenAPI().info(new Info().title("Open Slab").version("1")).servers(List.of(new Server().url("/")));
    }

    /** A record's components are always there, unless they are Optional or may be null: the generated types then say so too. */
    @Bean
    ModelConverter requiredComponents() {
        return new ModelConverter() {
            @Override
            public Schema<?> resolve(
                    AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
                Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
                Class<?> raw = com.fasterxml.jackson.databind.type.TypeFactory.defaultInstance()
                        .constructType(type.getType())
                        .getRawClass();
                if (raw.isRecord() && schema != null) {
                    String name = schema.get$ref() == null
                            ? schema.getName()
                            : schema.get$ref().replaceFirst(".*/", "");
                    Schema<?> model =
                            name == null ? schema : context.getDefinedModels().getOrDefault(name, schema);
                    require(model, raw);
                }
                return schema;
            }
        };
    }

    private static void require(Schema<?> model, Class<?> raw) {
        if (model.getProperties() != null) {
            Arrays.stream(raw.getRecordComponents())
                    .filter(c -> c.getType() != Optional.class
                            && !c.getAnnotatedType().isAnnotationPresent(Nullable.class))
                    .map(RecordComponent::getName)
                    .filter(model.getProperties()::containsKey)
                    .filter(n ->
                            model.getRequired() == null || !model.getRequired().contains(n))
                    .forEach(model::addRequiredItem);
        }
    }
}
