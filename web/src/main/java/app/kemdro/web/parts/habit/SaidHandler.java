package app.kemdro.web.parts.habit;

import app.kemdro.core.habit.Habit;
import app.kemdro.core.habit.Habit.Paper;
import app.kemdro.core.habit.Unit;
import app.kemdro.core.hour.Wall;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.model.AttributeValueQuotes;
import org.thymeleaf.model.IAttribute;
import org.thymeleaf.model.ICloseElementTag;
import org.thymeleaf.model.IOpenElementTag;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.model.IStandaloneElementTag;
import org.thymeleaf.model.IText;

/**
 * Says what a page says by the reader's habit: its text, what its attributes say, data for its scripts, units and values of its fields.
 * What somebody types is never touched: neither text areas nor fields without a unit.
 */
public final class SaidHandler extends AbstractTemplateHandler {
    private static final Set<String> SAYING =
            Set.of("aria-label", "title", "placeholder", "alt", "data-sure", "data-says");

    private final Reader reader = Reader.now();
    /** Pages are written in the standard: for most readers nothing is said otherwise. */
    private final boolean isWritten = reader.equals(Reader.STANDARD);

    private Within within = Within.TEXT;

    /** What text stands in. */
    private enum Within {
        TEXT,
        /** Beside a field: a unit alone. */
        UNIT,
        STYLE,
        /** What is no text of ours. */
        OTHER
    }

    @Override
    public void handleText(IText text) {
        if (isWritten) {
            super.handleText(text);
            return;
        }
        super.handleText(
                switch (within) {
                    case TEXT -> said(text, reader.said(text.getText()));
                    case UNIT -> said(text, unit(text.getText()));
                    case STYLE -> said(text, paper(text.getText()));
                    case OTHER -> text;
                });
    }

    private IText said(IText text, String said) {
        return said.equals(text.getText())
                ? text
                : getContext().getModelFactory().createText(said);
    }

    private String unit(String text) {
        String word = text.strip();
        return Unit.of(word).map(u -> text.replace(word, u.in(reader.habit()))).orElseGet(() -> reader.said(text));
    }

    private String paper(String style) {
        return reader.habit().paper() == Paper.LETTER ? style.replace("size: A4", "size: letter") : style;
    }

    @Override
    public void handleOpenElement(IOpenElementTag tag) {
        IOpenElementTag said = said(tag);
        switch (tag.getElementCompleteName()) {
            case "html" -> said = readBy(said);
            case "script" ->
                within = "application/json".equals(tag.getAttributeValue("type")) ? Within.TEXT : Within.OTHER;
            case "style" -> within = Within.STYLE;
            case "textarea" -> within = Within.OTHER;
            case "span" -> within = "unit".equals(tag.getAttributeValue("class")) ? Within.UNIT : within;
            default -> {}
        }
        super.handleOpenElement(said);
        form(tag);
    }

    @Override
    public void handleCloseElement(ICloseElementTag tag) {
        switch (tag.getElementCompleteName()) {
            case "script", "style", "textarea", "span" -> within = Within.TEXT;
            default -> {}
        }
        super.handleCloseElement(tag);
    }

    @Override
    public void handleStandaloneElement(IStandaloneElementTag tag) {
        super.handleStandaloneElement(said(tag));
        form(tag);
    }

    /** What scripts must know to say hours and days alike. */
    private IOpenElementTag readBy(IOpenElementTag html) {
        Habit habit = reader.habit();
        IOpenElementTag known = html;
        Map<String, Enum<?>> all = new LinkedHashMap<>();
        all.put("data-hours", habit.hours());
        all.put("data-dates", habit.dates());
        all.put("data-week", habit.week());
        all.put("data-paper", habit.paper());
        for (Map.Entry<String, Enum<?>> e : all.entrySet()) {
            known = getContext()
                    .getModelFactory()
                    .setAttribute(known, e.getKey(), e.getValue().name().toLowerCase(Locale.ROOT));
        }
        return getContext()
                .getModelFactory()
                .setAttribute(known, "data-zone", Wall.zone().getId());
    }

    private <T extends IProcessableElementTag> T said(T tag) {
        T said = isWritten ? tag : attributes(tag);
        String unit = FieldUnit.of(tag);
        if (unit != null) {
            for (String name : List.of("value", "placeholder")) {
                String value = said.getAttributeValue(name);
                if (value != null) {
                    said = with(said, name, value, FieldUnit.shown(value, unit, reader.habit()));
                }
            }
        }
        return said;
    }

    /** Goes over what a tag has once: looking for attributes by name costs more than saying them. */
    private <T extends IProcessableElementTag> T attributes(T tag) {
        T said = tag;
        for (IAttribute attribute : tag.getAllAttributes()) {
            String name = attribute.getAttributeCompleteName();
            String value = attribute.getValue();
            if (value != null && SAYING.contains(name)) {
                said = with(said, name, value, reader.said(value));
            }
        }
        return said;
    }

    private <T extends IProcessableElementTag> T with(T tag, String name, String was, String is) {
        return was.equals(is) ? tag : getContext().getModelFactory().setAttribute(tag, name, is);
    }

    /** Beside a field with a unit goes in which form it was shown. */
    private void form(IProcessableElementTag tag) {
        String unit = FieldUnit.of(tag);
        String name = unit == null ? null : tag.getAttributeValue("name");
        if (name != null) {
            Map<String, String> hidden = new LinkedHashMap<>();
            hidden.put("type", "hidden");
            hidden.put("name", name + FieldUnit.END);
            hidden.put("value", FieldUnit.form(unit, reader.habit()));
            super.handleStandaloneElement(getContext()
                    .getModelFactory()
                    .createStandaloneElementTag("input", hidden, AttributeValueQuotes.DOUBLE, false, false));
        }
    }
}
