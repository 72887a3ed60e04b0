package yewberry.core.asset;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SparseBytesTest {
    private static byte[] written(byte[] bytes) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SparseBytes.write(new DataOutputStream(out), bytes);
        return out.toByteArray();
    }

    private static byte[] read(byte[] written, int count) throws IOException {
        return SparseBytes.read(new DataInputStream(new ByteArrayInputStream(written)), count);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.001, 0.05, 0.5, 0.99, 1})
    void what_is_written_is_read(double share) throws IOException {
        Random random = new Random(5);
        for (int length : new int[] {0, 1, 15, 16, 17, 1000, 40_000}) {
            byte[] bytes = new byte[length];
            for (int i = 0; i < length; i++) {
                bytes[i] = random.nextDouble() < share ? (byte) random.nextInt() : 0;
            }
            assertThat(read(written(bytes), length)).isEqualTo(bytes);
        }
    }

    @Test
    void nothing_takes_no_room() throws IOException {
        assertThat(written(new byte[1_000_000])).hasSize(8);
    }

    @Test
    void what_is_cut_off_or_lies_about_its_length_is_refused() throws IOException {
        byte[] whole = written(new byte[] {0, 0, 1, 2, 3});
        assertThatThrownBy(() -> read(Arrays.copyOf(whole, whole.length - 1), 5))
                .isInstanceOf(EOFException.class);
        assertThatThrownBy(() -> read(whole, 4)).isInstanceOf(IOException.class);
        for (int[] wrong : new int[][] {{-1, 6}, {3, 3}, {Integer.MAX_VALUE, 9}, {0, 0}}) {
            byte[] bytes = ByteBuffer.allocate(64).putInt(wrong[0]).putInt(wrong[1]).array();
            assertThatThrownBy(() -> read(bytes, 5)).isInstanceOf(IOException.class);
        }
    }
}
