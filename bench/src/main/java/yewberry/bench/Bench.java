package yewberry.bench;

import java.util.List;

/** Runs the benchmarks, or the ones named. Each prints figures and the ratio that counts. */
public final class Bench {
    private Bench() {}

    interface Benchmark {
        void run() throws Throwable;
    }

    private record Named(String name, Benchmark benchmark) {}

    private static final List<Named> ALL =
            List.of(
                    new Named("edit-parent", new EditParent()),
                    new Named("any-size", new AnySize()),
                    new Named("all-findings", new AllFindings()),
                    new Named("live-check", new LiveCheck()),
                    new Named("interface", new Interface()),
                    new Named("start", new Start()),
                    new Named("keystroke", new Keystroke()),
                    new Named("move-picture", new MovePicture()),
                    new Named("switch-press", new SwitchPress()),
                    new Named("ink-to-screen", new InkToScreen()),
                    new Named("picture-behind-pages", new PictureBehindPages()),
                    new Named("compose", new Compose()),
                    new Named("colored-text", new ColoredText()),
                    new Named("whole-check", new WholeCheck()),
                    new Named("open-set", new OpenSet()),
                    new Named("add-to-files", new AddToFiles()),
                    new Named("file-legibility", new FileLegibility()),
                    new Named("draw-page", new DrawPage()),
                    new Named("write-outputs", new WriteOutputs()),
                    new Named("many-pictures", new ManyPictures()));

    public static void main(String[] names) throws Throwable {
        List<String> wanted = List.of(names);
        for (Named each : ALL) {
            if (wanted.isEmpty() || wanted.contains(each.name())) {
                System.out.println("== " + each.name());
                each.benchmark().run();
            }
        }
        System.exit(0);
    }
}
