package app.kemdro.core.schedule;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/** Stretches of time in which something is taken, sorted by start; each owner takes one at most. */
final class Timeline {
    private int[] start = new int[16];
    private int[] end = new int[16];
    private int[] owner = new int[16];

    /** The latest end of each stretch and all before it. */
    private int[] reach = new int[16];

    private int size;

    void clear() {
        size = 0;
    }

    void take(int from, int to, int task) {
        if (size == start.length) {
            start = Arrays.copyOf(start, size * 2);
            end = Arrays.copyOf(end, size * 2);
            owner = Arrays.copyOf(owner, size * 2);
            reach = Arrays.copyOf(reach, size * 2);
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
        reachFrom(at);
    }

    private void reachFrom(int at) {
        int most = at > 0 ? reach[at - 1] : Integer.MIN_VALUE;
        for (int i = at; i < size; i++) {
            most = Math.max(most, end[i]);
            reach[i] = most;
        }
    }

    void release(int task) {
        int at = indexOf(task);
        if (at >= 0) {
            size--;
            System.arraycopy(start, at + 1, start, at, size - at);
            System.arraycopy(end, at + 1, end, at, size - at);
            System.arraycopy(owner, at + 1, owner, at, size - at);
            reachFrom(at);
        }
    }

    /** Sets the end of what this task took. */
    void endAt(int task, int to) {
        int at = indexOf(task);
        if (at >= 0) {
            end[at] = to;
            reachFrom(at);
        }
    }

    int endOf(int task, int otherwise) {
        int at = indexOf(task);
        return at < 0 ? otherwise : end[at];
    }

    private int indexOf(int task) {
        int at = size - 1;
        while (at >= 0 && owner[at] != task) {
            at--;
        }
        return at;
    }

    /** The earliest second not before {@code from} at which {@code length} seconds are free, overlooking some owners. */
    int free(int from, int length, boolean @Nullable [] overlook) {
        int first = size;
        while (first > 0 && reach[first - 1] > from) {
            first--;
        }
        int stays = Math.max(1, length);
        int t = from;
        for (int i = first; i < size && start[i] < t + stays; i++) {
            if (end[i] > t && (overlook == null || owner[i] < 0 || !overlook[owner[i]])) {
                t = end[i];
            }
        }
        return t;
    }
}
