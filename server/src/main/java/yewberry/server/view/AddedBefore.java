package yewberry.server.view;

import yewberry.pdf.AddedItem;

/**
 * What was added to files before they came in.
 *
 * @param items how many things of this kind, each page's counted by itself
 * @param files how many files have some
 */
public record AddedBefore(AddedItem.Kind kind, int items, int files) {}
