package app.kemdro.web;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** A program of ours in a Java of its own. */
public final class OwnProcess {
    private OwnProcess() {}

    /**
     * How it ended.
     *
     * @param code 0 where it did what it should
     * @param lines what it said, errors included
     */
    public record Said(int code, List<String> lines) {}

    /** Runs it to its end, with the classes of the tests. */
    public static Said run(Class<?> program, String option, Object... arguments)
            throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(java(), option, "-cp", System.getProperty("java.class.path")));
        command.add(program.getName());
        for (Object argument : arguments) {
            command.add(argument.toString());
        }
        Path says = Files.createTempFile("kemdro-own", ".log");
        try {
            int code = begun(command, says).waitFor();
            return new Said(code, Files.readAllLines(says));
        } finally {
            Files.delete(says);
        }
    }

    /** Begins a command; what it says goes into a file. */
    static Process begun(List<String> command, Path says) throws IOException {
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(says.toFile())
                .start();
    }

    /** The Java these tests run in. */
    static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }
}
