package app.kemdro.web.records.jobfile;

import jakarta.validation.ConstraintViolation;
import jakarta.validation.Validator;
import jakarta.validation.constraints.Size;
import java.util.Comparator;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Holds a file against the rules that stand beside its fields, and says in words where it keeps one not. */
@Component
class FileRules {
    private final Validator validator;

    FileRules(Validator validator) {
        this.validator = validator;
    }

    /**
     * The same file, if every field of it can be meant by itself.
     *
     * @throws Unreadable naming the first field that cannot
     */
    JobFile checked(JobFile file) {
        validator.validate(file).stream()
                .min(Comparator.comparing(v -> v.getPropertyPath().toString()))
                .ifPresent(v -> {
                    throw new Unreadable(said(v));
                });
        return file;
    }

    private static String said(ConstraintViolation<JobFile> broken) {
        String path = broken.getPropertyPath().toString();
        // an element of a list is called by its place, and not by what a list is made of
        String at = path.replaceAll("\\.?<[^>]*>", "");
        Object value = broken.getInvalidValue();
        Map<String, Object> rule = broken.getConstraintDescriptor().getAttributes();
        if (value == null) {
            return path.endsWith("]") || path.endsWith(">")
                    ? at + " is empty."
                    : "\"" + at + "\" is missing. Add it to the file.";
        }
        if (value instanceof String text) {
            boolean needed = broken.getConstraintDescriptor().getAnnotation() instanceof Text;
            return "\"" + at + "\" takes " + (needed ? "1" : "0") + " to " + rule.get("max") + " letters; this has "
                    + text.strip().length() + ".";
        }
        return broken.getConstraintDescriptor().getAnnotation() instanceof Size
                ? at + ": that is too many; " + rule.get("max") + " is the most."
                : at + ": " + value + " " + broken.getMessage();
    }
}
