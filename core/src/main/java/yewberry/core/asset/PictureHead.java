package yewberry.core.asset;

import java.io.ByteArrayOutputStream;
import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;
import yewberry.core.Refused;
import yewberry.core.publication.Asset;

/**
 * What a picture file says of itself before any of its pixels is read. The memory it takes is
 * bounded, whatever the file says.
 *
 * @param width pixels, as stored
 * @param height pixels, as stored
 * @param ppi pixels per inch; nothing where the file does not say
 * @param orientation 1 to 8: Exif 2.32, tag 0x0112
 * @param profile the embedded ICC profile
 * @param pictures how many there are in it
 * @param components of the colour of a JPEG; 0 for other formats
 * @param adobe the colour transform of an Adobe JPEG: 0 none, 1 YCbCr, 2 YCCK; nothing where the
 *     file does not say
 */
record PictureHead(
        Asset.Format format,
        int width,
        int height,
        Optional<Double> ppi,
        int orientation,
        Optional<byte[]> profile,
        int pictures,
        int components,
        Optional<Integer> adobe) {
    private static final int LARGEST_PROFILE = 16 << 20;
    private static final double METRES = 0.0254;

    /**
     * @throws Refused if the head is damaged
     */
    static PictureHead of(Asset.Format format, byte[] file) {
        try {
            return switch (format) {
                case PNG -> png(ByteBuffer.wrap(file));
                case JPEG -> jpeg(ByteBuffer.wrap(file));
                case TIFF -> tiff(file);
            };
        } catch (IndexOutOfBoundsException
                | BufferUnderflowException
                | IllegalArgumentException cut) {
            throw damaged(format);
        }
    }

    static Refused damaged(Asset.Format format) {
        return new Refused(
                "This %s file is damaged or ends too early; export it again from where it came from."
                        .formatted(format));
    }

    /** PNG, third edition: 5.3 (chunks), 11.3.4.3 (pHYs), 11.3.2.3 (iCCP), 11.3.7.1 (acTL). */
    private static PictureHead png(ByteBuffer file) {
        int width = 0;
        int height = 0;
        int pictures = 1;
        int orientation = 1;
        Optional<Double> ppi = Optional.empty();
        Optional<byte[]> profile = Optional.empty();
        file.position(8);
        while (file.remaining() >= 12) {
            int length = file.getInt();
            String kind = ascii(file, 4);
            int next = Math.addExact(file.position(), length);
            if (length < 0 || next + 4 > file.limit()) {
                throw damaged(Asset.Format.PNG);
            }
            switch (kind) {
                case "IHDR" -> {
                    width = file.getInt();
                    height = file.getInt();
                }
                case "pHYs" -> {
                    double across = file.getInt() * METRES;
                    file.getInt();
                    ppi = file.get() == 1 ? resolution(across) : ppi;
                }
                case "acTL" -> pictures = file.getInt();
                case "eXIf" -> orientation = Exif.of(bytes(file, length)).orientation();
                case "iCCP" -> profile = Optional.of(inflated(bytes(file, length)));
                default -> {}
            }
            if (kind.equals("IEND") || kind.equals("IDAT")) {
                break;
            }
            file.position(next + 4);
        }
        return new PictureHead(
                Asset.Format.PNG,
                width,
                height,
                ppi,
                orientation,
                profile,
                pictures,
                0,
                Optional.empty());
    }

    /** The name of the profile, a zero, a method, and the profile, deflated. */
    private static byte[] inflated(byte[] chunk) {
        int name = 0;
        while (chunk[name] != 0) {
            name++;
        }
        Inflater inflater = new Inflater();
        inflater.setInput(chunk, name + 2, chunk.length - name - 2);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] buffer = new byte[8192];
        try {
            for (int read = inflater.inflate(buffer); read > 0; read = inflater.inflate(buffer)) {
                out.write(buffer, 0, read);
                if (out.size() > LARGEST_PROFILE) {
                    throw damaged(Asset.Format.PNG);
                }
            }
        } catch (DataFormatException broken) {
            throw damaged(Asset.Format.PNG);
        } finally {
            inflater.end();
        }
        return out.toByteArray();
    }

    /** ITU-T T.81, B.1; ITU-T T.871 (JFIF); ICC.1, B.4; Adobe's marker: ITU-T T.872, 6.5.3. */
    private static PictureHead jpeg(ByteBuffer file) {
        Optional<Double> ppi = Optional.empty();
        int orientation = 1;
        Optional<Integer> adobe = Optional.empty();
        Map<Integer, byte[]> profile = new TreeMap<>();
        file.position(2);
        while (true) {
            int marker = marker(file);
            int length = file.getShort() & 0xffff;
            int next = file.position() + length - 2;
            byte[] segment = bytes(file, length - 2);
            ByteBuffer in = ByteBuffer.wrap(segment);
            if (isFrame(marker)) {
                in.get();
                int height = in.getShort() & 0xffff;
                int width = in.getShort() & 0xffff;
                int components = in.get() & 0xff;
                return new PictureHead(
                        Asset.Format.JPEG,
                        width,
                        height,
                        ppi,
                        orientation,
                        joined(profile),
                        1,
                        components,
                        adobe);
            }
            if (marker == 0xe0 && begins(segment, "JFIF\0")) {
                in.position(7);
                int unit = in.get();
                int across = in.getShort() & 0xffff;
                ppi = unit == 0 ? ppi : resolution(unit == 1 ? across : across * 2.54);
            } else if (marker == 0xe1 && begins(segment, "Exif\0\0")) {
                Exif exif = Exif.of(bytes(in.position(6), segment.length - 6));
                orientation = exif.orientation();
                ppi = ppi.or(exif::ppi);
            } else if (marker == 0xe2 && begins(segment, "ICC_PROFILE\0")) {
                profile.put(segment[12] & 0xff, bytes(in.position(14), segment.length - 14));
            } else if (marker == 0xee && begins(segment, "Adobe")) {
                adobe = Optional.of((int) segment[11]);
            }
            file.position(next);
        }
    }

    private static int marker(ByteBuffer file) {
        if ((file.get() & 0xff) != 0xff) {
            throw damaged(Asset.Format.JPEG);
        }
        int marker = file.get() & 0xff;
        while (marker == 0xff) {
            marker = file.get() & 0xff;
        }
        return marker;
    }

    private static boolean isFrame(int marker) {
        return marker >= 0xc0
                && marker <= 0xcf
                && marker != 0xc4
                && marker != 0xc8
                && marker != 0xcc;
    }

    private static Optional<byte[]> joined(Map<Integer, byte[]> parts) {
        if (parts.isEmpty()) {
            return Optional.empty();
        }
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        parts.values().forEach(whole::writeBytes);
        return Optional.of(whole.toByteArray());
    }

    private static PictureHead tiff(byte[] file) {
        Exif tags = Exif.of(file);
        return new PictureHead(
                Asset.Format.TIFF,
                tags.width(),
                tags.height(),
                tags.ppi(),
                tags.orientation(),
                tags.profile(),
                tags.pictures(),
                0,
                Optional.empty());
    }

    static Optional<Double> resolution(double ppi) {
        return ppi >= 1 && ppi <= 100_000 ? Optional.of(ppi) : Optional.empty();
    }

    private static boolean begins(byte[] segment, String with) {
        byte[] wanted = with.getBytes(StandardCharsets.ISO_8859_1);
        return segment.length >= wanted.length + 7
                && ByteBuffer.wrap(segment, 0, wanted.length).equals(ByteBuffer.wrap(wanted));
    }

    private static String ascii(ByteBuffer from, int length) {
        return new String(bytes(from, length), StandardCharsets.ISO_8859_1);
    }

    private static byte[] bytes(ByteBuffer from, int length) {
        if (length > from.remaining()) {
            throw new IndexOutOfBoundsException();
        }
        byte[] bytes = new byte[length];
        from.get(bytes);
        return bytes;
    }

    /** The tags of the first directory: TIFF 6.0, section 2; Exif 2.32, 4.6. */
    record Exif(
            int width,
            int height,
            int orientation,
            Optional<Double> ppi,
            Optional<byte[]> profile,
            int pictures) {
        private static final int MOST_DIRECTORIES = 64;

        static Exif of(byte[] bytes) {
            ByteBuffer in = ByteBuffer.wrap(bytes);
            in.order(bytes[0] == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
            int directory = in.getInt(4);
            int width = 0;
            int height = 0;
            int orientation = 1;
            int unit = 2;
            double across = 0;
            Optional<byte[]> profile = Optional.empty();
            int count = in.getShort(directory) & 0xffff;
            for (int i = 0; i < count; i++) {
                int entry = directory + 2 + 12 * i;
                switch (in.getShort(entry) & 0xffff) {
                    case 256 -> width = number(in, entry);
                    case 257 -> height = number(in, entry);
                    case 274 -> orientation = number(in, entry);
                    case 282 -> {
                        int at = in.getInt(entry + 8);
                        across = (double) (in.getInt(at) & 0xffffffffL) / in.getInt(at + 4);
                    }
                    case 296 -> unit = number(in, entry);
                    case 34675 -> {
                        int length = in.getInt(entry + 4);
                        int at = in.getInt(entry + 8);
                        if (length < 0 || length > LARGEST_PROFILE) {
                            throw new IndexOutOfBoundsException();
                        }
                        profile = Optional.of(bytes(in.duplicate().position(at), length));
                    }
                    default -> {}
                }
            }
            return new Exif(
                    width,
                    height,
                    orientation,
                    resolution(unit == 3 ? across * 2.54 : unit == 2 ? across : 0),
                    profile,
                    directories(in, directory));
        }

        /** A short or a long. */
        private static int number(ByteBuffer in, int entry) {
            return in.getShort(entry + 2) == 3
                    ? in.getShort(entry + 8) & 0xffff
                    : in.getInt(entry + 8);
        }

        private static int directories(ByteBuffer in, int first) {
            int directory = first;
            int pictures = 0;
            while (directory != 0 && pictures < MOST_DIRECTORIES) {
                pictures++;
                directory = in.getInt(directory + 2 + 12 * (in.getShort(directory) & 0xffff));
            }
            return pictures;
        }
    }
}
