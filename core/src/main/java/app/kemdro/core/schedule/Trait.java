package app.kemdro.core.schedule;

import java.util.Set;

/**
 * What an artist sees in a task, of which its constraints say nothing.
 *
 * @param work the piece of work it belongs to, done in one go where nothing speaks against it; empty where it stands alone
 * @param twin the same for a step and for its mirror image on the other side; empty where there is none
 * @param layer the same for everything that one colour or film is taken up for once; empty where there is none
 * @param loaded what is in the hand or on the tool; empty where it does not matter
 * @param level how far down the body it is, 0 at the crown; below 0 where it is nowhere
 * @param worn whether what it puts on is a strain from then on
 * @param flies whether something flies about meanwhile that spoils what is wet
 * @param spoils whether what it leaves is spoiled by that until it has settled
 * @param near zones that lie where it is done or beside that
 */
public record Trait(
        String work,
        String twin,
        String layer,
        String loaded,
        int level,
        boolean worn,
        boolean flies,
        boolean spoils,
        Set<String> near) {
    /** Nothing is seen in it. */
    public static final Trait NONE = new Trait("", "", "", "", -1, false, false, false, Set.of());
}
