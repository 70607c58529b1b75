package app.kemdro.web.parts.typed;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestContextUtils;

/** What others changed meanwhile is said in the sentence under the ribbon, after what the room says. */
@Component
public class SaysMeanwhile implements HandlerInterceptor, WebMvcConfigurer {
    /** The sentence a room says of a change. */
    public static final String CHANGE = "change";

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getAttribute(MeanwhileFilter.SHOWN) instanceof MeanwhilePage.Shown shown) {
            throw new MeanwhilePage.BothChanged(shown);
        }
        return true;
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView page) {
        if (request.getAttribute(MeanwhileFilter.OTHERS) instanceof String others) {
            FlashMap said = RequestContextUtils.getOutputFlashMap(request);
            said.merge(CHANGE, others, (room, more) -> room + " " + more);
        }
    }
}
