package org.sallowbrook.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.InvalidInput.Violation;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What stands in an address and nobody here knows is refused as in a body: a word misspelt there would be dropped unseen. */
@Configuration
class KnownParameters implements WebMvcConfigurer, HandlerInterceptor {

    private final Map<Method, Set<String>> known = new ConcurrentHashMap<>();

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (!(handler instanceof HandlerMethod method) || request.getQueryString() == null) {
            return true;
        }
        Set<String> names = known.computeIfAbsent(method.getMethod(), m -> of(method));
        List<Violation> unknown = request.getParameterMap().keySet().stream()
                .filter(name -> !names.contains(name))
                .map(name -> new Violation(name, "is not known here"))
                .toList();
        if (!unknown.isEmpty()) {
            throw new InvalidInput(unknown);
        }
        return true;
    }

    private static Set<String> of(HandlerMethod method) {
        return Arrays.stream(method.getMethod().getParameters())
                .filter(p -> p.isAnnotationPresent(RequestParam.class))
                .map(p -> {
                    String named = p.getAnnotation(RequestParam.class).name();
                    return named.isEmpty() ? p.getName() : named;
                })
                .collect(Collectors.toUnmodifiableSet());
    }
}
