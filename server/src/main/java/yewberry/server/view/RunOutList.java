package yewberry.server.view;

import java.util.List;
import java.util.Optional;
import yewberry.core.findings.Offer;

/**
 * The ways in which a picture could go on to the edges of its area.
 *
 * @param options the best first; none where the picture reaches everywhere
 * @param flood fills the whole page with the colour of its edges instead
 */
public record RunOutList(List<RunOutView> options, Optional<Offer> flood) {}
