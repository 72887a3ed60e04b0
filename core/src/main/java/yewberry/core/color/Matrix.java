package yewberry.core.color;

/** Three by three, which is all that colour needs. */
final class Matrix {
    private Matrix() {}

    static double[] times(double[][] m, double[] v) {
        double[] out = new double[3];
        for (int row = 0; row < 3; row++) {
            out[row] = m[row][0] * v[0] + m[row][1] * v[1] + m[row][2] * v[2];
        }
        return out;
    }

    static double[][] times(double[][] a, double[][] b) {
        double[][] out = new double[3][3];
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                for (int k = 0; k < 3; k++) {
                    out[row][column] += a[row][k] * b[k][column];
                }
            }
        }
        return out;
    }

    /** By the adjugate; the matrices of colour spaces are never singular. */
    static double[][] inverse(double[][] m) {
        double[][] out = new double[3][3];
        double determinant = 0;
        for (int column = 0; column < 3; column++) {
            determinant += m[0][column] * cofactor(m, 0, column);
        }
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                out[column][row] = cofactor(m, row, column) / determinant;
            }
        }
        return out;
    }

    private static double cofactor(double[][] m, int row, int column) {
        int r1 = (row + 1) % 3;
        int r2 = (row + 2) % 3;
        int c1 = (column + 1) % 3;
        int c2 = (column + 2) % 3;
        return m[r1][c1] * m[r2][c2] - m[r1][c2] * m[r2][c1];
    }
}
