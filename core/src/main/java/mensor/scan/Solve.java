package mensor.scan;

/** A few equations for as many unknowns, by elimination with the greatest pivot. */
final class Solve {
    private Solve() {}

    /** @param m a row an equation, its right side last; it is used up. Null where they do not settle the unknowns */
    static double[] of(double[][] m) {
        int n = m.length;
        for (int c = 0; c < n; c++) {
            int pivot = c;
            for (int r = c + 1; r < n; r++) {
                pivot = Math.abs(m[r][c]) > Math.abs(m[pivot][c]) ? r : pivot;
            }
            if (Math.abs(m[pivot][c]) < 1e-12) {
                return null;
            }
            double[] row = m[pivot];
            m[pivot] = m[c];
            m[c] = row;
            for (int r = 0; r < n; r++) {
                double times = r == c ? 0 : m[r][c] / row[c];
                for (int k = c; times != 0 && k <= n; k++) {
                    m[r][k] -= times * row[k];
                }
            }
        }
        double[] x = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = m[i][n] / m[i][i];
        }
        return x;
    }
}
