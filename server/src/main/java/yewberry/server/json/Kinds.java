package yewberry.server.json;

import java.util.ArrayList;
import java.util.List;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.edit.Edit;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Holder;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Owner;
import yewberry.core.scene.Origin;
import yewberry.server.view.StratumView;

/** The sealed types of core that go over the wire or into a column, told apart by {@code type}. */
public final class Kinds {
    /** Every root whose alternatives carry a {@code type}. */
    public static final List<Class<?>> ROOTS =
            List.of(
                    Edit.class,
                    Color.class,
                    Definition.class,
                    Area.class,
                    Fill.class,
                    Frame.class,
                    Asset.Content.class,
                    LinkTo.class,
                    ListMark.Mark.class,
                    Holder.class,
                    Owner.class,
                    Origin.class,
                    StratumView.class);

    private Kinds() {}

    /** The alternatives of a root that stand for values: its records, and those of its parts. */
    public static List<Class<?>> of(Class<?> root) {
        List<Class<?>> kinds = new ArrayList<>();
        for (Class<?> each : root.getPermittedSubclasses()) {
            if (each.isRecord()) {
                kinds.add(each);
            } else if (each.isSealed()) {
                kinds.addAll(of(each));
            }
        }
        return kinds;
    }

    /** {@code WholePage} is written {@code wholePage}. */
    public static String name(Class<?> kind) {
        String simple = kind.getSimpleName();
        return Character.toLowerCase(simple.charAt(0)) + simple.substring(1);
    }
}
