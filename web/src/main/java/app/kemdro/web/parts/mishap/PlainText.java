package app.kemdro.web.parts.mishap;

import app.kemdro.web.parts.print.Printable;
import java.beans.PropertyEditorSupport;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;

/** Whatever is typed is taken as plain text: characters that nobody can see or print are left out at the door. */
@ControllerAdvice
class PlainText {
    @InitBinder
    void bind(WebDataBinder binder) {
        binder.registerCustomEditor(String.class, new PropertyEditorSupport() {
            @Override
            public void setAsText(String text) {
                setValue(Printable.of(text));
            }
        });
    }
}
