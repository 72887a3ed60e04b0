package yewberry.server.store;

import static yewberry.server.store.db.Tables.LOOK;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import yewberry.core.publication.Basis;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Leading;
import yewberry.core.publication.Length;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Role;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;
import yewberry.server.store.db.tables.records.LookRecord;

/** Looks as rows. */
final class LookRows extends Rows<Look, LookRecord> {
    private final Columns columns;

    LookRows(Columns columns) {
        super(Look.class, LOOK, LOOK.PUBLICATION, LOOK.ID, LOOK.POSITION);
        this.columns = columns;
    }

    @Override
    List<Look> list(Publication in, Optional<Holder> owner) {
        return in.looks();
    }

    @Override
    void fill(LookRecord row, Look look, Optional<Holder> owner) {
        row.setName(look.name());
        row.setFamily(look.family());
        row.setWeight(look.weight());
        row.setItalic(look.italic());
        row.setSize(look.size().toString());
        row.setLeading(look.leading().toString());
        row.setSpaceBefore(look.before().toString());
        row.setAlignment(look.alignment().name());
        row.setOverprint(look.overprint().name());
        row.setSwatch(look.color().swatch());
        row.setTint(look.color().tint());
        row.setSetting(columns.write(look.setting(), TextSetting.class));
        row.setNext(look.next().orElse(null));
        row.setOutline(look.outline().map(line -> columns.write(line, Outline.class)).orElse(null));
        row.setList(look.list().map(list -> columns.write(list, ListMark.class)).orElse(null));
        row.setPanel(look.panel().map(panel -> columns.write(panel, Panel.class)).orElse(null));
        row.setBasis(look.basis().map(on -> columns.write(on, Basis.class)).orElse(null));
        row.setRole(look.role().map(Role::name).orElse(null));
    }

    List<Look> read(DSLContext db, UUID in) {
        return fetch(db, in).stream()
                .map(row ->
                        new Look(
                                row.getId(),
                                row.getName(),
                                row.getFamily(),
                                row.getWeight(),
                                row.getItalic(),
                                Length.parse(row.getSize()),
                                Leading.read(row.getLeading()),
                                Length.parse(row.getSpaceBefore()),
                                Look.Alignment.valueOf(row.getAlignment()),
                                new Tinted(row.getSwatch(), row.getTint()),
                                Look.Overprint.valueOf(row.getOverprint()),
                                Optional.ofNullable(row.getSetting())
                                        .map(setting -> columns.read(setting, TextSetting.class))
                                        .orElse(TextSetting.USUAL),
                                Optional.ofNullable(row.getNext()),
                                Optional.ofNullable(row.getRole()).map(Role::valueOf),
                                Optional.ofNullable(row.getOutline())
                                        .map(line -> columns.read(line, Outline.class)),
                                Optional.ofNullable(row.getList())
                                        .map(list -> columns.read(list, ListMark.class)),
                                Optional.ofNullable(row.getPanel())
                                        .map(panel -> columns.read(panel, Panel.class)),
                                Optional.ofNullable(row.getBasis())
                                        .map(on -> columns.read(on, Basis.class))))
                .toList();
    }
}
