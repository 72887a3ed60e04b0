package yewberry.bench;

import java.util.Random;
import yewberry.core.color.PressCondition;
import yewberry.core.color.ScreenTable;

/**
 * Many pixels from CMYK to sRGB, relative colorimetric with black-point compensation, one thread
 * each: Yewberry's table against Little CMS in the same process, on the same pixels, by turns.
 * Goal: at least as fast.
 */
final class InkToScreen implements Bench.Benchmark {
    private static final int PIXELS = 4_000_000;
    private static final int ROUNDS = 15;
    private static final int WARM_UP = 5;

    @Override
    public void run() throws Throwable {
        PressCondition coated = PressCondition.coated();
        byte[] ink = pixels();
        byte[] ours = new byte[PIXELS * 3];
        Samples yewberry = new Samples("yewberry", ROUNDS);
        Samples reference = new Samples("little cms", ROUNDS);
        ScreenTable table = coated.screenTable();
        try (LittleCms cms = new LittleCms(coated.profile(), ink)) {
            for (int i = -WARM_UP; i < ROUNDS; i++) {
                long start = System.nanoTime();
                table.convert(ink, ours);
                long between = System.nanoTime();
                cms.convert();
                long end = System.nanoTime();
                if (i >= 0) {
                    yewberry.add(between - start);
                    reference.add(end - between);
                }
            }
            byte[] theirs = cms.screen();
            long off = 0;
            int worst = 0;
            for (int i = 0; i < ours.length; i++) {
                int difference = Math.abs((ours[i] & 0xff) - (theirs[i] & 0xff));
                off += difference;
                worst = Math.max(worst, difference);
            }
            System.out.println(yewberry);
            System.out.println(reference);
            System.out.printf(
                    "speed        %.2f of Little CMS   (goal: at least 1)   difference: mean %.2f, most %d of 255%n",
                    reference.quantile(0.5) / yewberry.quantile(0.5),
                    (double) off / ours.length,
                    worst);
        }
    }

    /** A picture-like walk through the colours: neighbours are alike, none is the same. */
    private static byte[] pixels() {
        Random random = new Random(1);
        byte[] ink = new byte[PIXELS * 4];
        double[] at = {120, 90, 60, 30};
        for (int i = 0; i < ink.length; i++) {
            int plate = i % 4;
            at[plate] = Math.clamp(at[plate] + random.nextGaussian() * 6, 0, 255);
            ink[i] = (byte) Math.round(at[plate]);
        }
        return ink;
    }
}
