package org.logophon.speech;

/** A worker process crashed, hung past its deadline, or answered nonsense, and has been put down. */
class WorkerDied extends Exception {

    WorkerDied(String reason, Throwable cause) {
        super(reason, cause);
    }
}
