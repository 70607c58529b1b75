package app.kemdro.web.records.jobfile;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.jspecify.annotations.Nullable;

/** A text that must be there: one letter at least, blanks round it not counted. */
@Target({ElementType.FIELD, ElementType.PARAMETER, ElementType.TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = Text.Length.class)
@interface Text {
    int max();

    String message() default "";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Counts letters. */
    final class Length implements ConstraintValidator<Text, String> {
        private int max;

        @Override
        public void initialize(Text constraint) {
            max = constraint.max();
        }

        @Override
        public boolean isValid(@Nullable String value, ConstraintValidatorContext context) {
            return value != null && !value.isBlank() && value.strip().length() <= max;
        }
    }
}
