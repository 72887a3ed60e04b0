package yewberry.server.publications;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import yewberry.core.Refused;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Edited;
import yewberry.core.edit.Editing;
import yewberry.core.edit.Patch;
import yewberry.core.findings.Checked;
import yewberry.core.findings.CheckedPages;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Findings;
import yewberry.core.legibility.ByViewing;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Element;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Heading;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Uses;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.SceneKey;
import yewberry.server.store.History;
import yewberry.server.store.PublicationStore;
import yewberry.server.store.Step;
import yewberry.server.store.Step.Kind;

/**
 * A publication that is being worked on: its newest state, and the memory of its readers. Steps are
 * made one at a time; reading never waits for them.
 */
public final class OpenPublication {
    /** So many states are kept for those who ask what changed. */
    private static final int RECENT = 64;

    private final PublicationStore store;

    /** So many rows are remembered, of about 1 kB each. */
    private static final int MOST_VIEWED = 50_000;

    private final PressConditions conditions;
    private final PictureFiles files;
    private final CheckedPages checked;
    private final News news;
    private final Map<PressCondition, Readers> readers = new ConcurrentHashMap<>();

    /** What was found under every viewing on pages that are made from the same still. */
    private final Cache<SceneKey, ByViewing.Found> viewed =
            Caffeine.newBuilder()
                    .weakKeys()
                    .maximumWeight(MOST_VIEWED)
                    .weigher((SceneKey page, ByViewing.Found found) -> 1 + found.failing().size())
                    .executor(Runnable::run)
                    .build();

    /** The states before this one, which share nearly all with it, by revision. */
    private final SortedMap<Long, Publication> recent = new TreeMap<>();

    private volatile State state;
    private boolean deleted;

    /** Whether the last step may be stored or not: its storing failed half-way. */
    private boolean uncertain;

    /**
     * A publication at a revision.
     *
     * @param uses how often its elements are used
     */
    public record State(Publication publication, long revision, Uses uses) {
        static State of(PublicationStore.StoredPublication stored) {
            return new State(
                    stored.publication(), stored.revision(), Uses.of(stored.publication()));
        }
    }

    /** What remembers scenes and contrasts, for one press condition. */
    private record Readers(Composer composer, Map<Criterion, Legibility> legibility) {}

    /** What text is held to, and where. */
    private record Criterion(Demand demand, Destination destination) {}

    OpenPublication(
            PublicationStore.StoredPublication stored,
            PublicationStore store,
            PressConditions conditions,
            PictureFiles files,
            CheckedPages checked,
            News news) {
        this.store = store;
        this.conditions = conditions;
        this.files = files;
        this.checked = checked;
        this.news = news;
        this.state = State.of(stored);
    }

    public State state() {
        return state;
    }

    /** As it was at a revision, if that was one of the last. */
    public Optional<Publication> at(long revision) {
        State now = state;
        if (now.revision() == revision) {
            return Optional.of(now.publication());
        }
        synchronized (recent) {
            return Optional.ofNullable(recent.get(revision));
        }
    }

    private void become(State next) {
        synchronized (recent) {
            recent.put(state.revision(), state.publication());
            if (recent.size() > RECENT) {
                recent.remove(recent.firstKey());
            }
        }
        state = next;
    }

    /** The press condition that a state of this publication is printed under. */
    public PressCondition press(Publication publication) {
        return conditions.get(publication.setup().press().condition());
    }

    public Composer composer(Publication publication) {
        return readers(publication).composer();
    }

    public Legibility legibility(Publication publication) {
        Criterion criterion =
                new Criterion(Demand.of(publication.setup()), publication.setup().destination());
        PressCondition press = press(publication);
        return readers(publication)
                .legibility()
                .computeIfAbsent(
                        criterion,
                        each -> new Legibility(press, each.demand(), each.destination()));
    }

    /**
     * What is wrong with a page of a state of this publication.
     *
     * @param viewing that text is judged under; nothing for the verdict
     */
    public List<Finding> findings(
            PageScene scene, Publication publication, Optional<Viewing> viewing) {
        return checked(scene, publication, viewing).findings();
    }

    private Checked checked(PageScene scene, Publication publication, Optional<Viewing> viewing) {
        return checked.of(scene.key(), viewing, () -> check(scene, publication, viewing));
    }

    /** How pages of a state of this publication are checked. */
    public PageCheck.Check<Checked> check(Publication publication, Optional<Viewing> viewing) {
        return new PageCheck.Check<>() {
            @Override
            public Optional<Checked> known(SceneKey page) {
                return checked.known(page, viewing);
            }

            @Override
            public Checked found(PageScene page) {
                return checked(page, publication, viewing);
            }
        };
    }

    /** How text of a state of this publication is judged under every viewing. */
    public PageCheck.Check<ByViewing.Found> byViewing(Publication publication) {
        List<View> views = ByViewing.views(publication.setup(), press(publication));
        return new PageCheck.Check<>() {
            @Override
            public Optional<ByViewing.Found> known(SceneKey page) {
                return Optional.ofNullable(viewed.getIfPresent(page));
            }

            @Override
            public ByViewing.Found found(PageScene page) {
                return viewed.get(
                        page.key(), each -> ByViewing.on(page, legibility(publication), views));
            }
        };
    }

    private Checked check(PageScene scene, Publication publication, Optional<Viewing> viewing) {
        Legibility legibility = legibility(publication);
        PressCondition press = press(publication);
        List<Finding> found =
                viewing.map(each ->
                                Findings.under(
                                        view(publication, each),
                                        scene,
                                        legibility,
                                        publication.setup(),
                                        press))
                        .orElseGet(
                                () -> Findings.of(scene, legibility, publication.setup(), press));
        Medium first = publication.setup().destination().media().getFirst();
        return new Checked(found, scene.on(first).unread());
    }

    private Readers readers(Publication publication) {
        return readers.computeIfAbsent(
                press(publication),
                press ->
                        new Readers(
                                new Composer(press, files.pictures()), new ConcurrentHashMap<>()));
    }

    /** What is seen of a state of this publication under a viewing. */
    public View view(Publication publication, Viewing viewing) {
        PressCondition press = press(publication);
        return new View(
                viewing,
                publication.setup().destination().medium(viewing),
                press,
                publication.setup().press().stock().orElseGet(press::paper));
    }

    /**
     * Makes and stores an edit. If it was made against an older revision, it is made on the newest
     * one, provided nobody touched the same elements since, or only other properties of them.
     *
     * @throws Refused if the edit is not possible
     * @throws Conflict if somebody changed the same meanwhile
     */
    public synchronized State edit(Edit edit, long madeAgainst, String author) {
        settle();
        State before = state;
        boolean stale = madeAgainst < before.revision();
        if (madeAgainst < 0) {
            throw new Refused("There is no revision %d; they begin with 0.".formatted(madeAgainst));
        }
        if (madeAgainst > before.revision()) {
            throw new Conflict(
                    "This was made against a later state than the one stored; reload the page.");
        }
        Edited edited;
        try {
            edited = preview(edit);
        } catch (Refused refused) {
            if (stale) {
                throw new Conflict(
                        "The publication was changed meanwhile: " + refused.getMessage());
            }
            throw refused;
        }
        Patch patch = edited.patch();
        if (stale) {
            Set<UUID> both =
                    store.touchedSince(before.publication().id(), madeAgainst, patch.touched());
            if (!both.isEmpty() && !Editing.isApart(before.publication(), edit)) {
                throw new Conflict(
                        "Not applied, because it was changed meanwhile: %s. Look at the newer state and try again."
                                .formatted(inWords(patch, both)));
            }
        }
        return patch.isEmpty() ? before : store(edited, Step.edit(author));
    }

    /** Takes back the author's last step. */
    public synchronized State undo(String author) {
        History.Entry last =
                history(author)
                        .undoable()
                        .orElseThrow(() -> new Conflict("There is nothing to undo."));
        return reverse(last, Kind.UNDO, author);
    }

    /** Brings back what the author undid last. */
    public synchronized State redo(String author) {
        History.Entry last =
                history(author)
                        .redoable()
                        .orElseThrow(() -> new Conflict("There is nothing to redo."));
        return reverse(last, Kind.REDO, author);
    }

    public History history(String author) {
        return store.history(state.publication().id(), author);
    }

    private void refuseDeleted() {
        if (deleted) {
            throw new Missing("publication");
        }
    }

    /** What is stored counts. */
    private void settle() {
        refuseDeleted();
        if (uncertain) {
            PublicationStore.StoredPublication stored =
                    store.read(state.publication().id())
                            .orElseThrow(() -> new Missing("publication"));
            become(State.of(stored));
            uncertain = false;
        }
    }

    /** Removes it for good; steps that come later are refused. */
    synchronized void delete() {
        refuseDeleted();
        store.delete(state.publication().id());
        deleted = true;
    }

    private State reverse(History.Entry entry, Kind kind, String author) {
        settle();
        Publication now = state.publication();
        Patch made = store.patch(now.id(), entry.edit());
        Patch patch = kind == Kind.UNDO ? made.inverse() : made;
        Set<UUID> others =
                store.touchedByOthersSince(now.id(), entry.since(), patch.touched(), author);
        if (!others.isEmpty()) {
            throw new Conflict(
                    "This step cannot be taken back, because somebody else changed it since: %s."
                            .formatted(inWords(patch, others)));
        }
        Edited edited;
        try {
            edited = Edited.by(patch, now);
        } catch (Refused refused) {
            throw new Conflict("This step cannot be taken back: " + refused.getMessage());
        }
        return store(edited, new Step(author, kind, Optional.of(entry.edit())));
    }

    private State store(Edited edited, Step step) {
        long revision;
        try {
            revision = store.append(edited.publication(), edited.patch(), state.revision(), step);
        } catch (RuntimeException failed) {
            uncertain = true;
            throw failed;
        }
        become(new State(edited.publication(), revision, edited.patch().applyTo(state.uses())));
        news.stored(edited.publication().id(), revision, step.author());
        return state;
    }

    private static String inWords(Patch patch, Set<UUID> elements) {
        return patch.changes().stream()
                .filter(change -> elements.contains(change.id()))
                .map(change -> inWords(change.element()))
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static String inWords(Element element) {
        return switch (element) {
            case Heading heading -> "the name or setup";
            case Swatch swatch -> "swatch “%s”".formatted(swatch.name());
            case Look look -> "look “%s”".formatted(look.name());
            case CharacterLook look -> "character look “%s”".formatted(look.name());
            case Asset asset -> "picture “%s”".formatted(asset.name());
            case Recipe recipe -> "recipe “%s”".formatted(recipe.name());
            case Parent parent -> "parent “%s”".formatted(parent.name());
            case Page page -> "a page";
            case Background background -> "a background";
            case TextFrame frame -> "a text frame";
            case PictureFrame frame ->
                    frame.isRunningItem() ? "a running item" : "a picture in front";
            case Story story -> "which frames a text runs through";
            case Paragraph paragraph -> "the text of a paragraph";
            case Exemption exemption -> "an exception";
        };
    }

    /** An edit tried out on the newest state, without storing anything. */
    public Edited preview(Edit edit) {
        Edited edited = Editing.edit(state.publication(), edit);
        press(edited.publication());
        files.check(edited.patch());
        return edited;
    }

    /** The pages whose picture differs between two states, in order of the newer one. */
    public List<UUID> pagesTouched(Publication before, Publication after) {
        Set<SceneKey> known =
                IntStream.range(0, before.pages().size())
                        .mapToObj(index -> composer(before).key(before, index))
                        .collect(Collectors.toSet());
        return IntStream.range(0, after.pages().size())
                .filter(index ->
                        composer(after).known(after, index).filter(known::contains).isEmpty())
                .mapToObj(index -> after.pages().get(index).id())
                .toList();
    }
}
