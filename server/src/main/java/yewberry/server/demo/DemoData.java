package yewberry.server.demo;

import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import yewberry.server.Settings;
import yewberry.server.publications.PictureFiles;
import yewberry.server.publications.Publications;

/** Puts the demo's publications on an empty shelf, if asked to. */
@Component
class DemoData implements SmartInitializingSingleton {
    private final Publications publications;
    private final PictureFiles files;
    private final Settings settings;

    DemoData(Publications publications, PictureFiles files, Settings settings) {
        this.publications = publications;
        this.files = files;
        this.settings = settings;
    }

    /** Before the server answers, so that nobody finds the shelf half full. */
    @Override
    public void afterSingletonsInstantiated() {
        if (settings.demo() && publications.list().isEmpty()) {
            publications.create(DemoLeaflet.publication(files::add));
            publications.create(DemoPublication.seasonGuide(files::add));
        }
    }
}
