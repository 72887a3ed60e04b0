package yewberry.core.asset;

import java.util.Optional;

/** Where pictures in what they are mixed in are kept from one start to the next. Thread-safe. */
public interface MadeImages {
    /** Keeps none. */
    MadeImages NONE =
            new MadeImages() {
                @Override
                public Optional<PlaneImage> find(String name) {
                    return Optional.empty();
                }

                @Override
                public void keep(String name, PlaneImage image) {
                    // each is made anew
                }
            };

    /**
     * @param name letters, digits and hyphens only
     * @return nothing if it is not there, or not whole
     */
    Optional<PlaneImage> find(String name);

    /** Keeps an image, now or soon, if there is room; none is missed that is not kept. */
    void keep(String name, PlaneImage image);
}
