package yewberry.core.color;

/**
 * How people with a colour vision deficiency see a screen: G. M. Machado, M. M. Oliveira and L. A.
 * F. Fernandes, "A Physiologically-based Model for Simulation of Color Vision Deficiency" (2009),
 * severity 1.0, applied in linear light. Matrices as published with the paper, from memory; held
 * against Chromium's own in the browser tests.
 */
public enum Vision {
    PROTAN(
            new double[][] {
                {0.152286, 1.052583, -0.204868},
                {0.114503, 0.786281, 0.099216},
                {-0.003882, -0.048116, 1.051998}
            }),
    DEUTAN(
            new double[][] {
                {0.367322, 0.860646, -0.227968},
                {0.280085, 0.672501, 0.047413},
                {-0.011820, 0.042940, 0.968881}
            }),
    TRITAN(
            new double[][] {
                {1.255528, -0.076749, -0.178779},
                {-0.078411, 0.930809, 0.147602},
                {0.004733, 0.691367, 0.303900}
            });

    private final double[][] matrix;

    Vision(double[][] matrix) {
        this.matrix = matrix;
    }

    public Rgb see(Rgb color) {
        return Srgb.fromLinear(Matrix.times(matrix, Srgb.linear(color)));
    }
}
