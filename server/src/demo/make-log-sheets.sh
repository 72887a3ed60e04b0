#!/usr/bin/env bash
# Makes the log sheets of the demo anew: PDFs of three producers (ghostscript, Chromium, cairo), as
# files come from outside. They are kept in the repository, so that the demo needs none of these.
set -euo pipefail
here="$(cd "$(dirname "$0")" && pwd)"
to="$here/../main/resources/demo/log-sheets"
work="$(mktemp -d)"
trap 'rm -rf "$work"' EXIT

sheet() { # name, month, width, height, pages, ink, boxed
  gs -q -dSAFER -dNOPAUSE -dBATCH -sDEVICE=pdfwrite -o "$work/$1.pdf" \
    -c "/Month ($2) def /Width $3 def /Height $4 def /Pages $5 def /Ink $6 def /Boxed $7 def" \
    -f "$here/sheet.ps"
}

sheet october October 595 842 2 0.78 false # type too pale
sheet november November 842 595 1 0.15 true # a white box behind half of it
sheet january January 595 842 1 0.2 false
sheet february February 612 792 2 0.1 false

chromium --headless --no-sandbox --disable-gpu --no-pdf-header-footer \
  --print-to-pdf="$work/december.pdf" "$here/december.html" 2>/dev/null

# a scan: nothing but pixels
gs -q -dSAFER -dNOPAUSE -dBATCH -sDEVICE=jpeg -dJPEGQ=60 -r100 -o "$work/january.jpg" "$work/january.pdf"
cat >"$work/january.html" <<'HTML'
<!doctype html><html lang="en-GB"><title>Log sheet, January</title>
<style>@page { size: A4; margin: 0 } body { margin: 0; background: #f3f1ea }
img { width: 210mm; height: 296.9mm; display: block; filter: sepia(0.25) brightness(0.97) }</style>
<img alt="Log sheet, January" src="january.jpg"></html>
HTML
chromium --headless --no-sandbox --disable-gpu --no-pdf-header-footer --allow-file-access-from-files \
  --print-to-pdf="$work/scan.pdf" "$work/january.html" 2>/dev/null

pdftocairo -pdf "$work/february.pdf" "$work/cairo.pdf"

mkdir -p "$to"
cp "$work/october.pdf" "$work/november.pdf" "$work/december.pdf" "$to"
cp "$work/scan.pdf" "$to/january.pdf"
qpdf --rotate=+90 "$work/cairo.pdf" "$to/february.pdf"
