package app.kemdro.web;

import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.diagnostics.FailureAnalysisReporter;

/** Says in one sentence why Kemdro has not started. */
class OneSentence implements FailureAnalysisReporter {
    @Override
    public void report(FailureAnalysis why) {
        String todo = String.valueOf(why.getAction());
        System.err.println("kemdro: " + why.getDescription() + (todo.isEmpty() ? "" : " " + todo));
    }
}
