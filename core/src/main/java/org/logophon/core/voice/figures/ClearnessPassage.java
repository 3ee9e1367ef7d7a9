package org.logophon.core.voice.figures;

/** The passage that an English voice reads to have its clearness measured: plain words of our own. */
public final class ClearnessPassage {

    public static final String TEXT = """
            We got up early this morning because we wanted to see the sun come up over the water. It was still dark when we left the \
            house, and the road was empty. My brother had made some coffee, and he gave me a cup in the car. After an hour we came to \
            the beach and sat down to wait. There was nobody there except an old man with a small dog. He told us that he had lived in \
            this town for most of his life. When he was a boy, his father worked on the railroad, and his mother taught at the school. \
            He said that the town had changed a great deal, but the sea was the same as ever. Then the light began to grow, first gray \
            and then red, and we stopped talking. It took only a few minutes, but I will remember it for a long time. On the way home \
            we bought bread and fruit at the market. We made breakfast for the children and told them what we had seen. They asked if \
            they could come with us next time. I said that they would have to go to bed early the night before. They thought about it \
            and said that perhaps they would rather sleep. In the afternoon it started to rain, and we were glad that we had gone when \
            we did.""";

    private ClearnessPassage() {}
}
