package yewberry.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import net.jqwik.api.lifecycle.AfterContainer;
import net.jqwik.api.lifecycle.BeforeContainer;
import net.jqwik.api.statistics.Statistics;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import yewberry.core.Refused;
import yewberry.core.asset.KnownFile;
import yewberry.core.edit.Change;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Edited;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.Patch;
import yewberry.core.edit.RecipeEdit;
import yewberry.core.publication.Background;
import yewberry.core.publication.Element;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Heading;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Uses;
import yewberry.server.json.CoreJson;
import yewberry.server.json.Kinds;
import yewberry.server.publications.Beginning;

/** What holds for edits of every kind, on elements of every kind, in any order. */
class EveryEditTest {
    private static Connection connection;
    private static PublicationStore store;

    @BeforeContainer
    static void open() throws SQLException {
        String url = "jdbc:h2:mem:every-edit;DB_CLOSE_DELAY=-1";
        Flyway.configure().dataSource(url, "sa", "").load().migrate();
        connection = DriverManager.getConnection(url, "sa", "");
        DSLContext db = DSL.using(connection, SQLDialect.H2);
        Columns columns = new Columns(CoreJson.mapper());
        store = new PublicationStore(db, columns, new AllRows(columns), Clock.systemUTC());
        AssetStore files = new AssetStore(db, columns);
        EditMaker.FILES.forEach(
                file -> files.add(new KnownFile(file, () -> new byte[1], ""), EditMaker.PIXELS));
        files.add(new KnownFile(EditMaker.DOCUMENT, () -> new byte[1], ""), EditMaker.PAGES);
    }

    @AfterContainer
    static void close() throws SQLException {
        connection.close();
    }

    private static Publication begin() {
        return Beginning.of(
                UUID.randomUUID(),
                "Any",
                Setup.of(new PageSize(Length.mm(148), Length.mm(210)), true),
                5,
                UUID::randomUUID);
    }

    /** Nothing for an edit that is refused here. */
    private static Optional<Edited> edited(Publication on, int choice) {
        try {
            return Optional.of(Editing.edit(on, EditMaker.make(on, choice)))
                    .filter(edited -> !edited.patch().isEmpty());
        } catch (Refused refused) {
            return Optional.empty();
        }
    }

    @Property
    void what_was_done_stored_read_undone_and_redone_is_the_same(
            @ForAll @Size(min = 10, max = 60) List<@IntRange(max = 1_000_000) Integer> choices) {
        Publication now = begin();
        store.create(now);
        List<Publication> states = new ArrayList<>(List.of(now));
        List<Long> steps = new ArrayList<>();
        Uses uses = Uses.of(now);
        long revision = 0;
        for (int choice : choices) {
            Optional<Edited> edited = edited(now, choice);
            if (edited.isPresent()) {
                now = edited.get().publication();
                revision = store.append(now, edited.get().patch(), revision, Step.edit("property"));
                assertThat(stored(now)).isEqualTo(now);
                uses = edited.get().patch().applyTo(uses);
                assertThat(counts(uses, now)).isEqualTo(counts(Uses.of(now), now));
                states.add(now);
                steps.add(revision);
            }
        }
        for (int i = steps.size() - 1; i >= 0; i--) {
            assertThat(store.history(now.id(), "property").undoable().orElseThrow().edit())
                    .isEqualTo(steps.get(i));
            Edited undone = Edited.by(patch(now, steps.get(i)).inverse(), now);
            now = undone.publication();
            revision = store.append(now, undone.patch(), revision, back(steps.get(i), false));
            assertThat(now).isEqualTo(states.get(i));
            assertThat(stored(now)).isEqualTo(now);
        }
        for (int i = 0; i < steps.size(); i++) {
            assertThat(store.history(now.id(), "property").redoable().orElseThrow().edit())
                    .isEqualTo(steps.get(i));
            Edited redone = Edited.by(patch(now, steps.get(i)), now);
            now = redone.publication();
            revision = store.append(now, redone.patch(), revision, back(steps.get(i), true));
            assertThat(now).isEqualTo(states.get(i + 1));
        }
        assertThat(stored(now)).isEqualTo(now);
        store.delete(now.id());
    }

    /** How often each element is used. */
    private static List<Integer> counts(Uses uses, Publication of) {
        return of.elements().map(each -> uses.of(each.id())).toList();
    }

    private static Publication stored(Publication of) {
        return store.read(of.id()).orElseThrow().publication();
    }

    private static Patch patch(Publication of, long number) {
        return store.patch(of.id(), number);
    }

    private static Step back(long edit, boolean again) {
        return new Step("property", again ? Step.Kind.REDO : Step.Kind.UNDO, Optional.of(edit));
    }

    /**
     * Whoever comes first: what two people do to different elements comes to the same. Where both
     * put something into the same list, who came first decides about the order there.
     */
    @Property
    void independent_edits_of_two_people_commute(
            @ForAll @Size(max = 25) List<@IntRange(max = 1_000_000) Integer> before,
            @ForAll @IntRange(max = 1_000_000) int one,
            @ForAll @IntRange(max = 1_000_000) int other) {
        Publication start = begin();
        for (int choice : before) {
            start = edited(start, choice).map(Edited::publication).orElse(start);
        }
        int made = possible(start, one);
        int otherMade = possible(start, other);
        Edit first = EditMaker.make(start, made);
        Edit second = EditMaker.make(start, otherMade);
        Optional<Edited> firstAlone = edited(start, made);
        Optional<Edited> secondAlone = edited(start, otherMade);
        Statistics.coverage(coverage -> coverage.check("compared").percentage(part -> part > 10));
        if (firstAlone.isEmpty() || secondAlone.isEmpty()) {
            Statistics.collect("not possible alone");
            return;
        }
        Optional<Edited> firstThenSecond = then(firstAlone.get(), second);
        Optional<Edited> secondThenFirst = then(secondAlone.get(), first);
        if (firstThenSecond.isEmpty() || secondThenFirst.isEmpty()) {
            Statistics.collect("refused");
            return; // one needs what the other takes away, and is told so
        }
        Set<UUID> touched = new HashSet<>(firstAlone.get().patch().touched());
        touched.retainAll(firstThenSecond.get().patch().touched());
        Set<UUID> turned = new HashSet<>(secondAlone.get().patch().touched());
        turned.retainAll(secondThenFirst.get().patch().touched());
        if (!touched.isEmpty() || !turned.isEmpty()) {
            Statistics.collect("conflict");
            return; // a conflict, which is told
        }
        if (takesAfter(first, second)
                || takesAfter(second, first)
                || usesRecipe(first, secondAlone.get())
                || usesRecipe(second, firstAlone.get())) {
            Statistics.collect("one takes after what the other changes");
            return;
        }
        Statistics.collect("compared");
        boolean sameList = placesInOneList(firstAlone.get(), secondAlone.get());
        assertThat(inComparableOrder(firstThenSecond.get().publication(), sameList))
                .as("%s and %s", first, second)
                .isEqualTo(inComparableOrder(secondThenFirst.get().publication(), sameList));
    }

    /** A choice that comes to an edit that is possible; many need what is not there yet. */
    private static int possible(Publication on, int choice) {
        int each = choice;
        for (int i = 0; i < 4 && edited(on, each).isEmpty(); i++) {
            each = (each + 7919) % 1_000_000;
        }
        return each;
    }

    /** A frame that goes on from another is arranged as that is when it is made. */
    private static boolean takesAfter(Edit one, Edit other) {
        return one instanceof FrameEdit.ContinueFrame made
                && other instanceof FrameEdit.ArrangeFrame arranged
                && made.after().equals(arranged.frame());
    }

    /** A recipe is made of, and put on, pages as they are by then. */
    private static boolean usesRecipe(Edit one, Edited other) {
        return switch (one) {
            case Edit.Several(var edits) ->
                    edits.stream().anyMatch(each -> usesRecipe(each, other));
            case RecipeEdit.ApplyRecipe _, RecipeEdit.SaveRecipe _ ->
                    other.patch().changes().stream()
                            .map(Change::element)
                            .anyMatch(each ->
                                    each instanceof Heading
                                            || each instanceof Page
                                            || each instanceof Recipe
                                            || each instanceof Background);
            default -> false;
        };
    }

    private static Optional<Edited> then(Edited before, Edit edit) {
        try {
            return Optional.of(Editing.edit(before.publication(), edit));
        } catch (Refused refused) {
            return Optional.empty();
        }
    }

    private static boolean placesInOneList(Edited one, Edited other) {
        Set<Object> lists = lists(one);
        lists.retainAll(lists(other));
        return !lists.isEmpty();
    }

    private static Set<Object> lists(Edited edited) {
        return edited.patch().changes().stream()
                .filter(Change::placed)
                .map(change -> List.of(kind(change.element()), change.owner()))
                .collect(Collectors.toSet());
    }

    /** Frames of every kind are in one list. */
    private static Class<?> kind(Element element) {
        return element instanceof Frame ? Frame.class : element.getClass();
    }

    /** Every element in words, in its order or in one that does not depend on it. */
    private static List<String> inComparableOrder(Publication publication, boolean orderless) {
        List<String> elements = new ArrayList<>();
        publication.elements().map(Element::toString).forEach(elements::add);
        if (orderless) {
            List<String> parts = new ArrayList<>();
            Patch.between(empty(publication), publication)
                    .changes()
                    .forEach(change -> parts.add(change.owner() + " " + change.element()));
            parts.sort(Comparator.naturalOrder());
            return parts;
        }
        return elements;
    }

    private static Publication empty(Publication like) {
        return new Publication(
                like.id(), "Empty", like.setup(), List.of(), List.of(), List.of(), List.of());
    }

    /** None is left out of the two properties above. */
    @Example
    void edits_of_every_kind_are_made() {
        Set<Class<?>> made = new HashSet<>();
        for (int choice = 0; choice < EditMaker.kinds(); choice++) {
            made.add(EditMaker.make(begin(), choice).getClass());
        }
        assertThat(made).hasSizeGreaterThan(40).isEqualTo(Set.copyOf(Kinds.of(Edit.class)));
    }
}
