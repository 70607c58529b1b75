package app.kemdro.core.safety;

import java.util.List;

/** One matter that is looked at before anybody sits down. */
interface SafetyRule {
    /** What is to be seen to in this matter. */
    List<Finding> findings(SafetyCase of);
}
