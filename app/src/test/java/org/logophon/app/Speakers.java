package org.logophon.app;

import com.microsoft.playwright.Page;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Base64;

/** What comes out of a page's speakers. The recorder isn't the application's own script: its page has to let it in. */
final class Speakers {

    /** Everything that goes to the speakers is written down as well, sample by sample. */
    static final String RECORDER = """
            (() => {
              const connect = AudioNode.prototype.connect;
              const resume = AudioContext.prototype.resume;
              const code = `registerProcessor('tap', class extends AudioWorkletProcessor {
                process([input]) { this.port.postMessage([currentFrame, input[0] ? input[0].slice() : null]); return true; } })`;
              window.recorded = [];
              AudioContext.prototype.resume = async function () {
                if (!this.tap) {
                  await this.audioWorklet.addModule(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })));
                  this.tap = new AudioWorkletNode(this, 'tap');
                  this.tap.port.onmessage = ({ data }) => { if (data[1]) window.recorded.push(data); };
                  connect.call(this.tap, this.destination);
                }
                return resume.call(this);
              };
              AudioNode.prototype.connect = function (to, ...rest) {
                if (to === this.context.destination && this.context.tap) connect.call(this, this.context.tap);
                return connect.call(this, to, ...rest);
              };
            })()""";

    /** What was heard so far, as base64 of little-endian floating-point numbers. */
    private static final String HEARD = """
            () => {
              const blocks = window.recorded;
              const first = blocks[0][0];
              const all = new Float32Array(blocks.at(-1)[0] + 128 - first);
              blocks.forEach(([at, samples]) => all.set(samples, at - first));
              const bytes = new Uint8Array(all.buffer);
              let text = '';
              for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
              return btoa(text);
            }""";

    private Speakers() {}

    /** Samples at 48 kHz, from the first block that had any. */
    static float[] heard(Page page) {
        ByteBuffer bytes = ByteBuffer.wrap(Base64.getDecoder().decode((String) page.evaluate(HEARD)))
                .order(ByteOrder.LITTLE_ENDIAN);
        float[] samples = new float[bytes.capacity() / 4];
        bytes.asFloatBuffer().get(samples);
        return samples;
    }
}
