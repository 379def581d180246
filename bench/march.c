/* The march of src/core/heat/solver/march.ts for a section, in C: the same equations, the same steps, for the ratio that the bench prints.
 * Reads a problem as doubles (see scripts/bench-cold.ts), runs it so many times, prints ms of the fastest run, steps, and the hour at which
 * the warmest cell falls through a temperature. cc -O3 -march=native -o march bench/march.c -lm */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define FROM_C (-40.0)
#define K_STEP 0.5
#define H_STEP 0.05
#define THETA 0.6

typedef struct { double rho, hStep; int nk, nh, nt; double *k, *h, *t; } Material;

static double *take(double **p, int n) { double *at = *p; *p += n; return at; }
static double clamp01(double x) { return x < 0 ? 0 : x > 1 ? 1 : x; }

static double heatAt(const Material *m, double t) {
  double x = (t - FROM_C) / H_STEP;
  if (x < 0) x = 0;
  if (x > m->nh - 1.000001) x = m->nh - 1.000001;
  int i = (int)x;
  return m->h[i] + (m->h[i + 1] - m->h[i]) * (x - i);
}

int main(int argc, char **argv) {
  FILE *f = fopen(argv[1], "rb");
  int runs = atoi(argv[2]);
  if (!f) return 1;
  fseek(f, 0, SEEK_END);
  long bytes = ftell(f);
  rewind(f);
  double *data = malloc(bytes), *p = data;
  if (fread(data, 1, bytes, f) != (size_t)bytes) return 1;
  fclose(f);
  int n1 = (int)*take(&p, 1), n2 = (int)*take(&p, 1), cells = n1 * n2;
  double airC = *take(&p, 1), hSide = *take(&p, 1), hBottom = *take(&p, 1), hTop = *take(&p, 1), untilC = *take(&p, 1), mostH = *take(&p, 1), want = *take(&p, 1), markC = *take(&p, 1);
  int materials = (int)*take(&p, 1);
  double *vol = take(&p, cells), *of = take(&p, cells), *start = take(&p, cells), *low0 = take(&p, cells), *high0 = take(&p, cells), *low1 = take(&p, cells), *high1 = take(&p, cells), *side = take(&p, cells), *bottom = take(&p, cells), *top = take(&p, cells);
  Material *mat = malloc(materials * sizeof(Material));
  for (int i = 0; i < materials; i++) {
    mat[i].rho = *take(&p, 1);
    mat[i].hStep = *take(&p, 1);
    mat[i].nk = (int)*take(&p, 1);
    mat[i].nh = (int)*take(&p, 1);
    mat[i].nt = (int)*take(&p, 1);
    mat[i].k = take(&p, mat[i].nk);
    mat[i].h = take(&p, mat[i].nh);
    mat[i].t = take(&p, mat[i].nt);
  }
  double *T = malloc(8 * cells), *H = malloc(8 * cells), *K = malloc(8 * cells), *C = malloc(8 * cells), *mass = malloc(8 * cells), *before = malloc(8 * cells);
  int longest = n1 > n2 ? n1 : n2;
  double *a = malloc(8 * longest), *b = malloc(8 * longest), *c = malloc(8 * longest), *r = malloc(8 * longest);
  double best = 1e30, mark = 0;
  int steps = 0;
  for (int run = 0; run < runs; run++) {
    struct timespec t0, t1;
    clock_gettime(CLOCK_MONOTONIC, &t0);
    double hottest = -1e30;
    for (int i = 0; i < cells; i++) {
      const Material *m = &mat[(int)of[i]];
      T[i] = start[i];
      mass[i] = vol[i] * m->rho * 1000;
      H[i] = heatAt(m, T[i]) * mass[i];
      if (start[i] > hottest) hottest = start[i];
    }
    double toLose[16], span = fabs(hottest - airC);
    for (int i = 0; i < materials; i++) toLose[i] = fmax(1e-6, fabs(heatAt(&mat[i], hottest) - heatAt(&mat[i], airC)));
    double t = 0, dt = 1, warm = hottest, lastWarm = hottest, lastT = 0;
    steps = 0;
    mark = 0;
    while (t < mostH * 3600 && steps < 20000) {
      memcpy(before, H, 8 * cells);
      for (int i = 0; i < cells; i++) {
        const Material *m = &mat[(int)of[i]];
        double x = (T[i] - FROM_C) / K_STEP;
        int k = x <= 0 ? 0 : x >= m->nk - 1 ? m->nk - 2 : (int)x;
        K[i] = m->k[k] + (m->k[k + 1] - m->k[k]) * clamp01(x - k);
        int j = (int)floor((T[i] - FROM_C) / H_STEP + 0.5);
        if (j < 2) j = 2;
        if (j > m->nh - 3) j = m->nh - 3;
        C[i] = (m->h[j + 2] - m->h[j - 2]) / (4 * H_STEP) * mass[i];
      }
      for (int pass = 0; pass < 2; pass++) {
        int d = (steps + pass) % 2, n = d == 0 ? n1 : n2, stride = d == 0 ? 1 : n1, lines = d == 0 ? n2 : n1;
        double *lowG = d == 0 ? low0 : low1, *highG = d == 0 ? high0 : high1, *lowA = d == 0 ? NULL : bottom, *highA = d == 0 ? side : top;
        double hLow = d == 0 ? 0 : hBottom, hHigh = d == 0 ? hSide : hTop;
        for (int l = 0; l < lines; l++) {
          int first = d == 0 ? l * n1 : l, last = first + (n - 1) * stride;
          double gLow = hLow > 0 && lowA[first] > 0 ? 1 / (1 / (K[first] * lowG[first]) + 1 / (hLow * lowA[first])) : 0;
          double gHigh = hHigh > 0 && highA[last] > 0 ? 1 / (1 / (K[last] * highG[last]) + 1 / (hHigh * highA[last])) : 0;
          double toPrev = gLow, prev = airC;
          for (int i = 0, q = first; i < n; i++, q += stride) {
            double toNext = i == n - 1 ? gHigh : 1 / (1 / (K[q] * highG[q]) + 1 / (K[q + stride] * lowG[q + stride]));
            double next = i == n - 1 ? airC : T[q + stride], cap = C[q] / dt, now = T[q];
            a[i] = i == 0 ? 0 : -THETA * toPrev;
            c[i] = i == n - 1 ? 0 : -THETA * toNext;
            b[i] = cap + THETA * (toPrev + toNext);
            r[i] = cap * now - (1 - THETA) * (toPrev * (now - prev) + toNext * (now - next)) + THETA * ((i == 0 ? gLow * airC : 0) + (i == n - 1 ? gHigh * airC : 0));
            toPrev = toNext;
            prev = now;
          }
          for (int i = 1; i < n; i++) {
            double w = a[i] / b[i - 1];
            b[i] -= w * c[i - 1];
            r[i] -= w * r[i - 1];
          }
          r[n - 1] /= b[n - 1];
          for (int i = n - 2; i >= 0; i--) r[i] = (r[i] - c[i] * r[i + 1]) / b[i];
          for (int i = 0, q = first; i < n; i++, q += stride) {
            H[q] += C[q] * (r[i] - T[q]);
            const Material *m = &mat[(int)of[q]];
            double x = (H[q] / mass[q] - m->h[0]) / m->hStep;
            int k = x <= 0 ? 0 : x >= m->nt - 1 ? m->nt - 2 : (int)x;
            T[q] = m->t[k] + (m->t[k + 1] - m->t[k]) * clamp01(x - k);
          }
        }
      }
      t += dt;
      steps++;
      double went = 0, far = 0;
      warm = -1e30;
      for (int i = 0; i < cells; i++) {
        double share = fabs(H[i] - before[i]) / (toLose[(int)of[i]] * mass[i]);
        if (share > went) went = share;
        if (fabs(T[i] - airC) > far) far = fabs(T[i] - airC);
        if (T[i] > warm) warm = T[i];
      }
      double left = far / span;
      if (left < 0.02) left = 0.02;
      double grow = want * left / fmax(1e-12, went);
      dt *= grow < 0.4 ? 0.4 : grow > 1.35 ? 1.35 : grow;
      if (dt > 3600) dt = 3600;
      if (mark == 0 && warm <= markC) mark = (lastT + (t - lastT) * (lastWarm - markC) / (lastWarm - warm)) / 3600;
      lastWarm = warm;
      lastT = t;
      if (warm <= untilC) break;
    }
    clock_gettime(CLOCK_MONOTONIC, &t1);
    double ms = (t1.tv_sec - t0.tv_sec) * 1e3 + (t1.tv_nsec - t0.tv_nsec) / 1e6;
    if (ms < best) best = ms;
  }
  printf("%.4f %d %.6f\n", best, steps, mark);
  return 0;
}
