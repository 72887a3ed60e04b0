package yewberry.core.scene;

/**
 * Stands for what one page was composed from: all scenes that are composed of the very same things
 * have the same key, also those that were forgotten in between. Two keys are equal only if they are
 * the same object, so that readers who remember by the key may let go of it with the page.
 */
public final class SceneKey {
    public SceneKey() {}
}
