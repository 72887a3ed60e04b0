package yewberry.server.view;

import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Gray;
import yewberry.core.color.Lab;
import yewberry.core.color.Rgb;

/** A colour in every space a swatch can be defined in, under a press condition. */
public record EverySpace(Color color, Cmyk cmyk, Rgb rgb, Lab lab, Gray gray, String screen) {}
