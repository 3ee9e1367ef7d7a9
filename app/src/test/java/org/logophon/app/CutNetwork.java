package org.logophon.app;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;

/** A way to a database on which nothing may get through for a while: nobody is told, as when a cable is out. */
final class CutNetwork implements AutoCloseable {

    private final ServerSocket listening;
    private final URI database;
    private final ReentrantLock lock = new ReentrantLock();
    private final Condition through = lock.newCondition();
    private boolean cut;

    /** @param database where it leads to */
    CutNetwork(URI database) throws IOException {
        this.database = database;
        listening = new ServerSocket(0, 200, InetAddress.getLoopbackAddress());
        begin(this::accept);
    }

    int port() {
        return listening.getLocalPort();
    }

    void cut(boolean now) {
        lock.lock();
        try {
            cut = now;
            through.signalAll();
        } finally {
            lock.unlock();
        }
    }

    private static void begin(Runnable work) {
        Thread thread = new Thread(work, "cut-network");
        thread.setDaemon(true);
        thread.start();
    }

    private void accept() {
        try {
            while (true) {
                lead(listening.accept());
            }
        } catch (IOException closed) {
            cut(false);
        }
    }

    private void lead(Socket here) throws IOException {
        Socket there;
        try {
            there = new Socket(database.getHost(), database.getPort());
        } catch (IOException nobodyThere) {
            here.close();
            return;
        }
        begin(() -> carry(here, there));
        begin(() -> carry(there, here));
    }

    private void carry(Socket from, Socket to) {
        byte[] block = new byte[1 << 14];
        try (from;
                to) {
            InputStream in = from.getInputStream();
            OutputStream out = to.getOutputStream();
            for (int got = in.read(block); got >= 0; got = in.read(block)) {
                waitUntilThrough();
                out.write(block, 0, got);
                out.flush();
            }
        } catch (IOException | InterruptedException ended) {
            // one side is gone, and the other goes with it
            Thread.currentThread().interrupt();
        }
    }

    private void waitUntilThrough() throws InterruptedException {
        lock.lock();
        try {
            while (cut) {
                through.await();
            }
        } finally {
            lock.unlock();
        }
    }

    @Override
    public void close() throws IOException {
        listening.close();
        cut(false);
    }
}
