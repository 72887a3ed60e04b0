package yewberry.server.view;

import yewberry.core.edit.Edit;

/**
 * A recipe that can be brought along.
 *
 * @param edit brings the recipe along, with its swatches and pictures
 */
public record Brought(String name, Edit edit) {}
