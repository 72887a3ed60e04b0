package yewberry.core.color;

/** A colour value in the space it was defined in. Conversion belongs to {@link PressCondition}. */
public sealed interface Color permits Cmyk, Rgb {}
