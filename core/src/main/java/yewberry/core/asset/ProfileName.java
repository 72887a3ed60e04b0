package yewberry.core.asset;

import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import yewberry.core.publication.Asset;

/** What an embedded ICC profile is called, and whether it can be of use. */
final class ProfileName {
    private static final int DESCRIPTION = 0x64657363;

    private ProfileName() {}

    /** Whether it describes colours of this kind. */
    static boolean fits(byte[] profile, Asset.Colors colors) {
        try {
            int type = ICC_Profile.getInstance(profile).getColorSpaceType();
            return switch (colors) {
                case RGB -> type == ColorSpace.TYPE_RGB;
                case CMYK -> type == ColorSpace.TYPE_CMYK;
                case GREY -> type == ColorSpace.TYPE_GRAY;
            };
        } catch (IllegalArgumentException | CMMException damaged) {
            return false;
        }
    }

    /** ICC.1:2010, 9.2.41 and 10.13; ICC.1:2001, 6.5.17. */
    static String of(byte[] profile) {
        byte[] tag = ICC_Profile.getInstance(profile).getData(DESCRIPTION);
        if (tag == null || tag.length < 16) {
            return "a profile without a name";
        }
        ByteBuffer in = ByteBuffer.wrap(tag);
        boolean unicode = in.getInt(0) == 0x6d6c7563;
        int at = unicode ? in.getInt(24) : 12;
        int length = unicode ? in.getInt(20) : in.getInt(8) - 1;
        if (at < 0 || length < 0 || length > 400 || at + length > tag.length) {
            return "a profile without a name";
        }
        return new String(
                        tag,
                        at,
                        length,
                        unicode ? StandardCharsets.UTF_16BE : StandardCharsets.US_ASCII)
                .strip();
    }
}
