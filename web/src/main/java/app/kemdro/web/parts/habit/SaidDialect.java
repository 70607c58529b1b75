package app.kemdro.web.parts.habit;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/** Every page and every sheet leaves by {@link SaidHandler}. */
@Component
class SaidDialect implements IPostProcessorDialect {
    private static final int LAST = 1000;

    @Override
    public String getName() {
        return "said";
    }

    @Override
    public int getDialectPostProcessorPrecedence() {
        return LAST;
    }

    @Override
    public Set<IPostProcessor> getPostProcessors() {
        return Set.of(new PostProcessor(TemplateMode.HTML, SaidHandler.class, LAST));
    }
}
