package org.sallowbrook.server.platform;

import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.InvalidInput.Violation;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.TokenStreamContext;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JavaType;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.DeserializationProblemHandler;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * Reads requests without coercion and goes on after a wrong field, so that all wrong fields can be named at once. What was
 * wrong is kept on the request for {@link CompleteBodies}.
 */
@Configuration
class StrictJson {

    private static final String KEY = StrictJson.class.getName();

    @Bean
    JsonMapperBuilderCustomizer strict() {
        SimpleModule scalars = new SimpleModule()
                .addDeserializer(Double.class, new Scalar<>(Double.class))
                .addDeserializer(Integer.class, new Scalar<>(Integer.class))
                .addDeserializer(Boolean.class, new Scalar<>(Boolean.class))
                .addDeserializer(String.class, new Letters())
                .addDeserializer(
                        LocalDate.class,
                        new Text<>(LocalDate.class, StrictJson::day, "a date such as 2026-06-30, from 1880 to 2200"))
                .addDeserializer(
                        MonthDay.class,
                        new Text<>(MonthDay.class, MonthDay::parse, "a day of the year such as --06-30"))
                .addDeserializer(
                        Instant.class,
                        new Text<>(Instant.class, StrictJson::moment, "a time such as 2026-06-30T08:00:00Z"));
        return builder -> builder.addModule(scalars)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                .addHandler(new Collecting());
    }

    /** Within what a calendar, a database and a birthday can hold. */
    private static LocalDate day(String text) {
        LocalDate day = LocalDate.parse(text);
        if (day.getYear() < 1880 || day.getYear() > 2200) {
            throw new DateTimeParseException("out of range", text, 0);
        }
        return day;
    }

    private static Instant moment(String text) {
        Instant moment = Instant.parse(text);
        day(moment.atOffset(ZoneOffset.UTC).toLocalDate().toString());
        return moment;
    }

    static List<Violation> taken() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request == null) {
            return List.of();
        }
        @SuppressWarnings("unchecked")
        List<Violation> found = (List<Violation>) request.getAttribute(KEY, RequestAttributes.SCOPE_REQUEST);
        request.removeAttribute(KEY, RequestAttributes.SCOPE_REQUEST);
        return found == null ? List.of() : found;
    }

    private static void note(JsonParser parser, String message) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request == null) {
            throw new IllegalArgumentException(path(where(parser)) + " " + message);
        }
        add(request, new Violation(path(where(parser)), message));
    }

    private static void add(RequestAttributes request, Violation violation) {
        @SuppressWarnings("unchecked")
        List<Violation> found = (List<Violation>) request.getAttribute(KEY, RequestAttributes.SCOPE_REQUEST);
        if (found == null) {
            found = new ArrayList<>();
            request.setAttribute(KEY, found, RequestAttributes.SCOPE_REQUEST);
        }
        if (found.size() < 100) {
            found.add(violation);
        }
    }

    /** At the start of an object or list the parser stands inside it already; what is wrong is the whole. */
    private static @Nullable TokenStreamContext where(JsonParser parser) {
        TokenStreamContext context = parser.streamReadContext();
        JsonToken token = parser.currentToken();
        return token == JsonToken.START_OBJECT || token == JsonToken.START_ARRAY ? context.getParent() : context;
    }

    /** herbs[0].massG */
    private static String path(@Nullable TokenStreamContext context) {
        StringBuilder path = new StringBuilder();
        for (TokenStreamContext at = context; at != null && !at.inRoot(); at = at.getParent()) {
            String step = at.inArray() ? "[" + at.getCurrentIndex() + "]" : at.currentName();
            boolean dot = path.length() > 0 && path.charAt(0) != '[';
            path.insert(0, step + (dot ? "." : ""));
        }
        return path.toString();
    }

    /** Takes a number only from a number, a truth value only from true and false. */
    private static final class Scalar<T> extends StdDeserializer<T> {

        private final Class<T> type;

        Scalar(Class<T> type) {
            super(type);
            this.type = type;
        }

        @Override
        public @Nullable T deserialize(JsonParser p, DeserializationContext ctxt) {
            JsonToken token = p.currentToken();
            if (type == Boolean.class && token.isBoolean()) {
                return type.cast(token == JsonToken.VALUE_TRUE);
            }
            if (type == Double.class && token.isNumeric()) {
                double value = p.getDoubleValue();
                if (Double.isFinite(value)) {
                    return type.cast(value);
                }
                note(p, "must be a finite number");
                return null;
            }
            if (type == Integer.class && token.isNumeric()) {
                double value = p.getDoubleValue();
                if (value == Math.rint(value) && Math.abs(value) <= Integer.MAX_VALUE) {
                    return type.cast((int) value);
                }
                note(p, "must be a whole number");
                return null;
            }
            note(p, type == Boolean.class ? "must be true or false" : "must be a number");
            p.skipChildren();
            return null;
        }
    }

    /**
     * Text that people can read. What can't be seen, told from a blank or written into a file of another format is refused; so is
     * text of nothing but such letters.
     */
    private static final class Letters extends StringDeserializer {

        private static final Pattern CONTROL = Pattern.compile("[\\p{Cc}&&[^\\t\\r\\n]]|[\\uFFFE\\uFFFF]|\\p{Cs}");
        private static final Pattern NOTHING_SEEN =
                Pattern.compile("[\\p{Z}\\p{C}\\u115F\\u1160\\u3164\\uFFA0\\u2800]+");

        @Override
        public @Nullable String deserialize(JsonParser p, DeserializationContext ctxt) {
            String text = super.deserialize(p, ctxt);
            if (text != null && RequestContextHolder.getRequestAttributes() != null) {
                if (CONTROL.matcher(text).find()) {
                    note(p, "holds a letter that can't be seen; type it again");
                } else if (!text.isBlank() && NOTHING_SEEN.matcher(text).matches()) {
                    note(p, "holds nothing that can be read");
                }
            }
            return text;
        }
    }

    /** Takes a date or time only from its ISO text. */
    private static final class Text<T> extends StdDeserializer<T> {

        private final transient Function<String, T> parse;
        private final String expected;

        Text(Class<T> type, Function<String, T> parse, String expected) {
            super(type);
            this.parse = parse;
            this.expected = expected;
        }

        @Override
        public @Nullable T deserialize(JsonParser p, DeserializationContext ctxt) {
            if (p.currentToken() == JsonToken.VALUE_STRING) {
                try {
                    return parse.apply(p.getString());
                } catch (DateTimeParseException e) {
                    note(p, "must be " + expected);
                    return null;
                }
            }
            note(p, "must be " + expected);
            p.skipChildren();
            return null;
        }
    }

    private static final class Collecting extends DeserializationProblemHandler {

        @Override
        public @Nullable Object handleWeirdStringValue(
                DeserializationContext ctxt, Class<?> target, String value, String message) {
            note(ctxt.getParser(), expected(target));
            return null;
        }

        @Override
        public @Nullable Object handleWeirdNumberValue(
                DeserializationContext ctxt, Class<?> target, Number value, String message) {
            note(ctxt.getParser(), expected(target));
            return null;
        }

        @Override
        public @Nullable Object handleUnexpectedToken(
                DeserializationContext ctxt, JavaType target, JsonToken token, JsonParser p, String message) {
            note(p, expected(target.getRawClass()));
            p.skipChildren();
            return null;
        }

        @Override
        public @Nullable Object handleMissingInstantiator(
                DeserializationContext ctxt,
                Class<?> type,
                tools.jackson.databind.deser.ValueInstantiator instantiator,
                JsonParser p,
                String message) {
            note(p, expected(type));
            p.skipChildren();
            return null;
        }

        /** What nobody here knows is not dropped: "pregnant" in the wrong place would read as not pregnant. */
        @Override
        public boolean handleUnknownProperty(
                DeserializationContext ctxt,
                JsonParser p,
                tools.jackson.databind.ValueDeserializer<?> deserializer,
                Object beanOrClass,
                String propertyName) {
            if (ctxt.isEnabled(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)) {
                return false;
            }
            noteUnknown(p, propertyName);
            p.skipChildren();
            return true;
        }

        /** In a list its place is named; of one of several kinds of request the parser has lost it. */
        private static void noteUnknown(JsonParser p, String property) {
            String path = path(where(p));
            RequestAttributes request = RequestContextHolder.getRequestAttributes();
            String field = path.contains("[") && path.endsWith(property) ? path : property;
            if (request == null) {
                throw new IllegalArgumentException(field + " is not known here");
            }
            add(request, new Violation(field, "is not known here"));
        }

        /** One of several kinds of request, of a kind that there is not, or without saying which. */
        @Override
        public @Nullable JavaType handleUnknownTypeId(
                DeserializationContext ctxt,
                JavaType base,
                String id,
                tools.jackson.databind.jsontype.TypeIdResolver resolver,
                String message) {
            noteKind(ctxt, base);
            return ctxt.constructType(Void.class);
        }

        @Override
        public @Nullable JavaType handleMissingTypeId(
                DeserializationContext ctxt,
                JavaType base,
                tools.jackson.databind.jsontype.TypeIdResolver resolver,
                String message) {
            noteKind(ctxt, base);
            return ctxt.constructType(Void.class);
        }

        private static void noteKind(DeserializationContext ctxt, JavaType base) {
            RequestAttributes request = RequestContextHolder.getRequestAttributes();
            String kinds = "must be one of "
                    + Kinds.of(base.getRawClass()).stream().map(Kinds::name).collect(Collectors.joining(", "));
            String path = path(ctxt.getParser().streamReadContext());
            if (request == null) {
                throw new IllegalArgumentException("kind " + kinds);
            }
            add(request, new Violation(path.isEmpty() ? "kind" : path.endsWith("kind") ? path : path + ".kind", kinds));
        }

        private static String expected(Class<?> target) {
            if (target.isEnum()) {
                return "must be one of "
                        + Arrays.stream(target.getEnumConstants())
                                .map(Object::toString)
                                .collect(Collectors.joining(", "));
            }
            if (java.util.Collection.class.isAssignableFrom(target)) {
                return "must be a list";
            }
            if (target == java.util.UUID.class) {
                return "must be an id";
            }
            return target.isRecord() ? "must be an object" : "has a value that does not fit";
        }
    }
}
