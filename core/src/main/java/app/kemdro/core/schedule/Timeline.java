package app.kemdro.core.schedule;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** Stretches of time in which something is taken, sorted by start. */
final class Timeline {
    private int[] start = new int[16];
    private int[] end = new int[16];
    private int[] owner = new int[16];
    private int size;

    void clear() {
        size = 0;
    }

    void take(int from, int to, int task) {
        if (size == start.length) {
            start = Arrays.copyOf(start, size * 2);
            end = Arrays.copyOf(end, size * 2);
            owner = Arrays.copyOf(owner, size * 2);
        }
        int at = size++;
        while (at > 0 && start[at - 1] > from) {
            start[at] = start[at - 1];
            end[at] = end[at - 1];
            owner[at] = owner[at - 1];
            at--;
        }
        start[at] = from;
        end[at] = to;
        owner[at] = task;
    }

    void release(int task) {
        int kept = 0;
        for (int i = 0; i < size; i++) {
            if (owner[i] != task) {
                start[kept] = start[i];
                end[kept] = end[i];
                owner[kept++] = owner[i];
            }
        }
        size = kept;
    }

    /** Sets the end of what this task took. */
    void endAt(int task, int to) {
        for (int i = 0; i < size; i++) {
            if (owner[i] == task) {
                end[i] = to;
            }
        }
    }

    int endOf(int task, int otherwise) {
        for (int i = 0; i < size; i++) {
            if (owner[i] == task) {
                return end[i];
            }
        }
        return otherwise;
    }

    /** The earliest second not before {@code from} at which {@code length} seconds are free, overlooking some owners. */
    int free(int from, int length, boolean @Nullable [] overlook) {
        int stays = Math.max(1, length);
        int t = from;
        for (int i = 0; i < size && start[i] < t + stays; i++) {
            if (end[i] > t && (overlook == null || owner[i] < 0 || !overlook[owner[i]])) {
                t = end[i];
            }
        }
        return t;
    }
}
