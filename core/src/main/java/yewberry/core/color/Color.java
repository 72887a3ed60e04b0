package yewberry.core.color;

/**
 * A colour value in the space it was defined in. Conversion belongs to {@link PressCondition}; what
 * a swatch comes to, to a palette.
 */
public sealed interface Color permits Cmyk, Rgb, Lab, Gray, Inks {}
