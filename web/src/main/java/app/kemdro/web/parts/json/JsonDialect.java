package app.kemdro.web.parts.json;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.processor.AbstractStandardExpressionAttributeTagProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * What {@link Json} wrote, into the script element that holds it: {@code data:json="${ribbon}"}. It goes in as it is; {@code th:utext} would
 * read all of it first, as if parts of a page could stand in it.
 */
@Component
class JsonDialect extends AbstractProcessorDialect {
    private static final int AS_A_TEXT = 1300;

    JsonDialect() {
        super("json", "data", AS_A_TEXT);
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(new Body(prefix));
    }

    private static final class Body extends AbstractStandardExpressionAttributeTagProcessor {
        Body(String prefix) {
            super(TemplateMode.HTML, prefix, "json", AS_A_TEXT, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName attribute,
                String written,
                Object value,
                IElementTagStructureHandler element) {
            element.setBody(value == null ? "" : value.toString(), false);
        }
    }
}
