package yewberry.pdf;

import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.ArgumentsProvider;
import org.junit.jupiter.params.support.ParameterDeclarations;

/**
 * The cases of a test that goes through many: a third of them, and all of them where {@code
 * ./yewberry check --all} asks for it.
 */
public final class Sweep {
    private static final int PART = Boolean.getBoolean("yewberry.all") ? 1 : 3;

    private Sweep() {}

    /** Seeds from 0, odd and even ones alike. */
    public static Stream<Long> seeds(int count) {
        return LongStream.range(0, count).filter(seed -> seed % PART == 0).boxed();
    }

    /** How often something is tried that is tried so often where all is. */
    static int times(int all) {
        return all / PART;
    }

    /** Names of files by other producers; another third for each test. */
    static final class OfFiles implements ArgumentsProvider {
        @Override
        public Stream<? extends Arguments> provideArguments(
                ParameterDeclarations parameters, ExtensionContext context) throws Exception {
            String[] names = FilesOfOthers.all().keySet().toArray(String[]::new);
            int first = Math.floorMod(context.getRequiredTestMethod().getName().hashCode(), PART);
            return LongStream.range(0, names.length)
                    .filter(i -> i % PART == first)
                    .mapToObj(i -> Arguments.of(names[(int) i]));
        }
    }
}
