/* Breaks and shapes paragraphs with pango, and prints the CPU time that it took, in nanoseconds.
 *
 * compose FONT-FILE FAMILY SIZE-PT WIDTH-PT JUSTIFY TEXT-FILE ROUNDS
 *
 * The text file has a paragraph a line. Prints a line for each round: its time and its lines. */
#include <fontconfig/fontconfig.h>
#include <pango/pangoft2.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

static long long now(void) {
  struct timespec at;
  clock_gettime(CLOCK_PROCESS_CPUTIME_ID, &at);
  return at.tv_sec * 1000000000LL + at.tv_nsec;
}

int main(int argc, char **argv) {
  if (argc != 8) {
    return 2;
  }
  FcConfigAppFontAddFile(FcConfigGetCurrent(), (const FcChar8 *)argv[1]);
  PangoFontMap *fonts = pango_ft2_font_map_new();
  pango_ft2_font_map_set_resolution(PANGO_FT2_FONT_MAP(fonts), 72, 72);
  PangoContext *context = pango_font_map_create_context(fonts);
  pango_context_set_round_glyph_positions(context, FALSE);
  PangoFontDescription *face = pango_font_description_from_string(argv[2]);
  pango_font_description_set_size(face, (gint)(atof(argv[3]) * PANGO_SCALE));
  gchar *text = NULL;
  gsize length = 0;
  if (!g_file_get_contents(argv[6], &text, &length, NULL)) {
    return 3;
  }
  gchar **paragraphs = g_strsplit(text, "\n", -1);
  for (int round = 0; round < atoi(argv[7]); round++) {
    long long begin = now();
    long lines = 0;
    for (gchar **each = paragraphs; *each; each++) {
      PangoLayout *layout = pango_layout_new(context);
      pango_layout_set_font_description(layout, face);
      pango_layout_set_width(layout, (int)(atof(argv[4]) * PANGO_SCALE));
      pango_layout_set_wrap(layout, PANGO_WRAP_WORD);
      pango_layout_set_justify(layout, atoi(argv[5]));
      pango_layout_set_text(layout, *each, -1);
      lines += pango_layout_get_line_count(layout);
      PangoRectangle extents;
      pango_layout_get_extents(layout, NULL, &extents);
      g_object_unref(layout);
    }
    printf("%lld %ld\n", now() - begin, lines);
  }
  return 0;
}
