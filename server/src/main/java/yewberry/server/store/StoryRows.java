package yewberry.server.store;

import static yewberry.server.store.db.Tables.FRAME;
import static yewberry.server.store.db.Tables.LINK;
import static yewberry.server.store.db.Tables.STORY;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import yewberry.core.publication.Elements;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Language;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;
import yewberry.server.store.db.tables.records.LinkRecord;
import yewberry.server.store.db.tables.records.StoryRecord;

/** Stories as rows, and their chains as links; their paragraphs have rows of their own. */
final class StoryRows extends Rows<Story, StoryRecord> {
    StoryRows() {
        super(Story.class, STORY, STORY.PUBLICATION, STORY.ID, STORY.POSITION);
    }

    @Override
    List<Story> list(Publication in, Optional<Holder> owner) {
        return in.stories();
    }

    @Override
    void fill(StoryRecord row, Story story, Optional<Holder> owner) {
        row.setLanguage(story.language().map(Language::name).orElse(null));
    }

    @Override
    void fillParts(RowBatch batch, UUID in, Story story, Optional<Story> before) {
        if (before.isPresent()) {
            batch.clear(
                    DSL.deleteFrom(LINK)
                            .where(LINK.PUBLICATION.eq(in).and(LINK.STORY.eq(story.id()))));
        }
        for (int i = 0; i < story.chain().size(); i++) {
            LinkRecord row = new LinkRecord();
            row.setPublication(in);
            row.setStory(story.id());
            row.setPosition(i);
            row.setFrame(story.chain().get(i).frame());
            batch.insert(row);
        }
    }

    /** The chains of a publication's stories, by story. */
    static Map<UUID, List<Story.Link>> chains(DSLContext db, UUID in) {
        Map<UUID, List<Story.Link>> chains = new HashMap<>();
        db.select(LINK.STORY, LINK.FRAME, FRAME.PAGE, FRAME.PARENT)
                .from(LINK)
                .join(FRAME)
                .on(FRAME.PUBLICATION.eq(LINK.PUBLICATION).and(FRAME.ID.eq(LINK.FRAME)))
                .where(LINK.PUBLICATION.eq(in))
                .orderBy(LINK.STORY, LINK.POSITION)
                .forEach(row -> {
                    Owner owner =
                            row.value3() == null
                                    ? new Owner.OnParent(row.value4())
                                    : new Owner.OnPage(row.value3());
                    chains.computeIfAbsent(row.value1(), story -> new ArrayList<>())
                            .add(new Story.Link(owner, row.value2()));
                });
        return chains;
    }

    List<Story> read(
            DSLContext db,
            UUID in,
            Map<UUID, List<Story.Link>> chains,
            Map<UUID, List<Paragraph>> text) {
        return fetch(db, in).stream()
                .map(row ->
                        new Story(
                                row.getId(),
                                chains.getOrDefault(row.getId(), List.of()),
                                Optional.ofNullable(row.getLanguage()).map(Language::valueOf),
                                Elements.of(text.getOrDefault(row.getId(), List.of()))))
                .toList();
    }
}
