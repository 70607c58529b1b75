package app.kemdro.web.records.job;

import jakarta.persistence.Embeddable;
import jakarta.persistence.Lob;

/** The order of a job that people have in mind, and its look before the last change; each as the snapshots write it. */
@Embeddable
public class Kept {
    @Lob
    private String orderBefore = "";

    private String orderProof = "";
    private long ordersFound;

    @Lob
    private String lookBefore = "";

    @Lob
    private String lookBeforeOrder = "";

    /** The order people had in mind before the last change; empty when there was none. */
    public String order() {
        return orderBefore;
    }

    /** Whether there was one. */
    public boolean wasPlanned() {
        return !orderBefore.isEmpty();
    }

    /** Fingerprint of the network for which that order's bound was proven; empty where it was not. */
    public String orderProof() {
        return orderProof;
    }

    /** Keeps an order, and what its bound was proven for. */
    public void keepOrder(String order, String provenOf) {
        this.orderBefore = order;
        this.orderProof = provenOf;
    }

    /** The same where nobody meant anything by it: it was found. */
    public void findOrder(String order, String provenOf) {
        keepOrder(order, provenOf);
        ordersFound++;
    }

    long ordersFound() {
        return ordersFound;
    }

    /** The look before its last change; empty when there was none. */
    public String look() {
        return lookBefore;
    }

    /** The order that belonged to that look; empty when there was none. */
    public String lookOrder() {
        return lookBeforeOrder;
    }

    public void keepLook(String look, String order) {
        this.lookBefore = look;
        this.lookBeforeOrder = order;
    }
}
