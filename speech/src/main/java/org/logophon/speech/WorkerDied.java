package org.logophon.speech;

/** A worker process crashed, hung past its deadline, or answered nonsense, and has been put down. */
class WorkerDied extends Exception {

    private final transient boolean ofItsRequest;

    /** @param ofItsRequest false when somebody else killed it */
    WorkerDied(String reason, Throwable cause, boolean ofItsRequest) {
        super(reason, cause);
        this.ofItsRequest = ofItsRequest;
    }

    boolean ofItsRequest() {
        return ofItsRequest;
    }
}
