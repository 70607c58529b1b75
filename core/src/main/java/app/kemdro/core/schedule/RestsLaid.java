package app.kemdro.core.schedule;

import java.util.ArrayList;
import java.util.List;

/** Breaks as they are laid for one placement: those that were, then by the gaps that were chosen, then by the rule. */
final class RestsLaid {
    private final IndexedNetwork net;
    private final Timeline line = new Timeline();
    private final List<Rest> rests = new ArrayList<>();
    private final int horizon;
    private int rested;

    RestsLaid(IndexedNetwork net) {
        this.net = net;
        this.horizon = net.bounds.horizon();
    }

    List<Rest> rests() {
        return rests;
    }

    /** The first second from this one at which so many go by without a break. */
    int free(int from, int length) {
        until(from + length);
        return line.free(from, length, null);
    }

    /** Begins anew with these gaps of work before each break. */
    void lay(int[] gaps) {
        line.clear();
        rests.clear();
        rested = 0;
        for (Rest rest : net.progress.rests()) {
            rests.add(rest);
            line.take(rest.start(), rest.end(), -1);
            rested = Math.max(rested, rest.end());
        }
        int earliest = net.progress.busy();
        for (int gap : gaps) {
            lay(Math.max(earliest, rested + gap));
        }
    }

    private void lay(int at) {
        rested = at + net.network.breaks().length(rests.size());
        rests.add(new Rest(at, rested));
        line.take(at, rested, -1);
    }

    /** Lays breaks by the rule until this second, so that no work is ever without one; work that fits between no two comes after all. */
    private void until(int second) {
        while (rested < second && rested < horizon) {
            lay(rested + net.network.breaks().every());
        }
    }
}
