package yewberry.bench;

import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.SymbolLookup;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;

/** The system's Little CMS, called where it lies (lcms2.h of version 2). */
@SuppressWarnings("restricted") // the run allows native access
final class LittleCms implements AutoCloseable {
    /** COLORSPACE_SH(PT_CMYK) | CHANNELS_SH(4) | BYTES_SH(1). */
    private static final int TYPE_CMYK_8 = 6 << 16 | 4 << 3 | 1;

    /** COLORSPACE_SH(PT_RGB) | CHANNELS_SH(3) | BYTES_SH(1). */
    private static final int TYPE_RGB_8 = 4 << 16 | 3 << 3 | 1;

    private static final int INTENT_RELATIVE_COLORIMETRIC = 1;
    private static final int FLAGS_BLACKPOINTCOMPENSATION = 0x2000;

    private final Arena arena = Arena.ofConfined();
    private final MethodHandle doTransform;
    private final MemorySegment transform;
    private final MemorySegment ink;
    private final MemorySegment screen;
    private final int pixels;

    LittleCms(byte[] profile, byte[] cmyk) throws Throwable {
        Linker linker = Linker.nativeLinker();
        SymbolLookup library = SymbolLookup.libraryLookup("liblcms2.so.2", arena);
        var pointer = ValueLayout.ADDRESS;
        var number = ValueLayout.JAVA_INT;
        MethodHandle open =
                linker.downcallHandle(
                        library.find("cmsOpenProfileFromMem").orElseThrow(),
                        FunctionDescriptor.of(pointer, pointer, number));
        MethodHandle srgb =
                linker.downcallHandle(
                        library.find("cmsCreate_sRGBProfile").orElseThrow(),
                        FunctionDescriptor.of(pointer));
        MethodHandle create =
                linker.downcallHandle(
                        library.find("cmsCreateTransform").orElseThrow(),
                        FunctionDescriptor.of(
                                pointer, pointer, number, pointer, number, number, number));
        doTransform =
                linker.downcallHandle(
                        library.find("cmsDoTransform").orElseThrow(),
                        FunctionDescriptor.ofVoid(pointer, pointer, pointer, number));
        MemorySegment from =
                (MemorySegment)
                        open.invoke(
                                arena.allocateFrom(ValueLayout.JAVA_BYTE, profile), profile.length);
        transform =
                (MemorySegment)
                        create.invoke(
                                from,
                                TYPE_CMYK_8,
                                (MemorySegment) srgb.invoke(),
                                TYPE_RGB_8,
                                INTENT_RELATIVE_COLORIMETRIC,
                                FLAGS_BLACKPOINTCOMPENSATION);
        pixels = cmyk.length / 4;
        ink = arena.allocateFrom(ValueLayout.JAVA_BYTE, cmyk);
        screen = arena.allocate(pixels * 3L);
    }

    void convert() throws Throwable {
        doTransform.invoke(transform, ink, screen, pixels);
    }

    byte[] screen() {
        return screen.toArray(ValueLayout.JAVA_BYTE);
    }

    @Override
    public void close() {
        arena.close();
    }
}
