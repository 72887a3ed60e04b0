package yewberry.server.demo;

import java.util.List;

/** The words of the season guide. All of it is made up. */
final class DemoText {
    /** A page of the guide: a heading and its paragraphs. */
    record Article(String heading, List<String> paragraphs) {}

    static final Article WELCOME =
            new Article(
                    "Welcome to the marsh",
                    List.of(
                            "Where the sea wall ends and the reeds begin, there is no street lamp for eleven miles. That is why the observatory stands here, on four concrete feet above the highest tide, and why its dome is painted the colour of mud.",
                            "The season runs from October to March, when the nights are long enough to be worth staying up for. On every clear evening in that half year the dome is open to visitors, and the small telescopes on the terrace are yours to use.",
                            "This guide tells you what to look for, how to dress for it and how to get home across the causeway before the water does. Please keep it in a pocket and read it by red light: white light costs everyone around you twenty minutes of their night vision.",
                            "If you have never looked through a telescope, begin with the Moon. It is bright, it is easy to find, and nobody has ever been disappointed by it."));

    static final Article GETTING_HERE =
            new Article(
                    "Finding us in the dark",
                    List.of(
                            "The lane to the observatory leaves the coast road at the old pumping station. Follow it for two miles, past the second cattle grid, and switch to dipped headlights where the white posts begin. Park on the shingle and walk the last three hundred yards.",
                            "The causeway floods for about an hour either side of high water on spring tides. The times are posted at the gate and at the ticket office, and the warden will not let you try your luck. If you are late, wait on the landward side; the sky is the same there.",
                            "A minibus meets the evening train on Fridays and Saturdays. It has room for sixteen and for four wheelchairs, and it always waits for the last visitor, however long the last visitor looks at Saturn."));

    static final Article CALENDAR =
            new Article(
                    "The season at a glance",
                    List.of(
                            "October. The Summer Triangle goes down in the west and the Pleiades come up in the east. Good evenings for star clusters, and the last warm ones for standing about.",
                            "November. Two meteor showers, neither of them strong, both worth an hour in a deck chair. Bring a blanket and somebody to count with.",
                            "December. Orion stands in the south by ten. The nebula in his sword is the finest thing we can show you in a small telescope.",
                            "January. The coldest air is the steadiest. Come for planets, and come wrapped up.",
                            "February. The winter hexagon is complete by nightfall. Our long evenings for families are in the middle week of the month.",
                            "March. Galaxies. They are faint and very far away, and you will remember them longer than the bright things."));

    static final Article TELESCOPES =
            new Article(
                    "The telescopes",
                    List.of(
                            "In the dome stands the Long Glass, a refractor of nine inches with a tube as long as a rowing boat. It was built for a shipping office that wished to read the flags of vessels a day before they docked, and it has been pointed upwards ever since.",
                            "On the terrace there are six reflectors of eight inches, simple and robust, that anyone may move. A volunteer will show you how: push gently, let go, and wait for it to settle. In the hide beyond the pond a pair of large binoculars looks straight along the Milky Way.",
                            "Two of the eyepieces in the dome can be reached from a chair, and one from a wheelchair, by a relay of mirrors that swings down from the tube. Ask the operator; it takes a minute to set up."));

    static final Article DARK_HOURS =
            new Article(
                    "Dark hours",
                    List.of(
                            "From the last light of dusk until the Moon is up, the grounds are kept in complete darkness. We call these the dark hours, and they are what people come back for.",
                            "Walk slowly. The paths are edged with pale stones that you can feel with your feet, and a rope runs from the gate to the terrace at the height of your hand. After ten minutes you will see the stones; after twenty you will see your own shadow, cast by the Milky Way.",
                            "Telephones stay in your pocket or in the lockers at the gate. If you must use a light, use one of the red ones that hang by the door, and point it at the ground."));

    static final Article AUTUMN =
            new Article(
                    "What autumn shows",
                    List.of(
                            "Low in the west, soon after sunset, look for a bright orange star that seems to flash green and red. It is Arcturus, and the colours are made by our own air.",
                            "High overhead stands the great square of Pegasus. Count the stars you can see inside it: more than five, and the night is good enough for the Andromeda Galaxy, which you will find two steps to the north-east as a small grey smudge.",
                            "That smudge is the farthest thing that most people ever see without a glass. Its light set out when there was nobody here to look at it."));

    static final Article WINTER =
            new Article(
                    "What winter shows",
                    List.of(
                            "Follow Orion’s belt down to Sirius, the brightest star of all, and up to Aldebaran and the Pleiades. On the terrace we keep one telescope on the sword of Orion all evening, because nobody is ever finished with it.",
                            "Below the middle star of the sword is a fan of pale green light with four small stars at its heart. They are young, and the gas around them is what they were made of.",
                            "On frosty nights a ring may stand around the Moon. It is made by crystals of ice five miles up, and it is always the same size: a hand’s breadth at arm’s length."));

    static final Article COMETS =
            new Article(
                    "Comets and other guests",
                    List.of(
                            "A comet keeps no calendar that we could print. When one is bright enough we hang a lantern at the gate and send word to everyone on the list at the ticket office.",
                            "The space station crosses the marsh in four minutes, from west to east, as steady as a lamp on a ship. Satellites are fainter, meteors are quicker, and aeroplanes blink.",
                            "If you see something that fits none of these, tell the operator what time it was and where you were looking. We write everything down, and now and then it turns out to be new."));

    static final Article SCHOOLS =
            new Article(
                    "For schools and groups",
                    List.of(
                            "We welcome groups of up to forty on Tuesdays and Wednesdays. An evening begins indoors at five with the model of the sky, goes on to the terrace as soon as it is dark, and ends with soup.",
                            "There is no charge for schools within an hour of the marsh. Places are given in the order in which you write to us, so please book early, and tell us whether anybody in the group needs a step-free way or a quiet room.",
                            "For clouded evenings we have the workshop, where each child grinds a small mirror for ten minutes and signs its edge. When the mirror is finished, some three hundred children will have made it."));

    static final Article ACCESS =
            new Article(
                    "Comfort and access",
                    List.of(
                            "Dress for standing still. It is always five degrees colder on the terrace than you think, and a hat is worth more than a second coat. Blankets and flasks can be borrowed at the gate.",
                            "The path from the car park to the terrace is level and one and a half yards wide. The dome has a lift. A hearing loop works in the lecture room, and talks are interpreted into sign language on the first Saturday of each month.",
                            "Assistance dogs know the marsh better than most of us and are welcome everywhere, except in the lift when the dome is turning."));

    static final List<String> TERRACE =
            List.of(
                    "The Long Glass: the Moon, the planets and double stars.",
                    "The six reflectors: clusters, nebulae and the brighter galaxies.",
                    "The pair of binoculars: the Milky Way, from end to end.");

    static final List<String> BEFORE_YOU_COME =
            List.of(
                    "Look up the time of high water, and add an hour on either side.",
                    "Fill a flask, and put the hat on before you are cold.",
                    "Let your eyes adjust for twenty minutes; look at nothing bright meanwhile.");

    private DemoText() {}
}
