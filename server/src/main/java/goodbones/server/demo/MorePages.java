package goodbones.server.demo;

import static goodbones.server.demo.Make.page;

import goodbones.document.Node;
import goodbones.server.demo.DemoPages.Page;
import goodbones.server.library.Pieces;
import java.util.List;

/** Pages of the clients that are made of the pieces to start with. */
final class MorePages {
  private final Pieces pieces;

  MorePages(Pieces pieces) {
    this.pieces = pieces;
  }

  private Filling put(String id, String piece) {
    return new Filling(pieces, id, piece);
  }

  private Node top(String id, String label, String title, String lead) {
    return put(id, "st-opening-inner").with(label, title, lead).node();
  }

  private static Page made(String id, String title, String address, String about, Node... parts) {
    return new Page(id, title, address, about, page(id, parts));
  }

  List<Page> ferries() {
    return List.of(
        made(
            "sf-islands",
            "The islands",
            "/islands",
            "What there is on Gull Holm, Inner Skerry and Long Sand, and what there is not.",
            top(
                "sf-is-top",
                "Forty minutes at most",
                "The islands",
                "None of them has a cash machine. All of them have a kettle."),
            put("sf-is-holm", "st-picture-text")
                .with(
                    "harbour-morning | Fishing boats in the harbour of Gull Holm",
                    "The nearest one",
                    "Gull Holm",
                    "A shop, a pub and a chapel, in that order from the landing. The path round"
                        + " the island takes an hour and a half, two with children.",
                    "When boats go there > /timetable")
                .node(),
            put("sf-is-lines", "st-lines")
                .with("Before you choose one")
                .items(
                    List.of(
                        List.of(
                            "Inner Skerry",
                            "Seals on the west side at low water. Nobody lives here, so bring what"
                                + " you mean to eat."),
                        List.of(
                            "Long Sand",
                            "A beach of four miles and a café from May to September. Wear shoes"
                                + " that may get wet: the landing does."),
                        List.of(
                            "Gull Holm after dark",
                            "The last boat back is at 17:30. Rooms are with Mrs Tillery, three of"
                                + " them, and full in August.")))
                .node()),
        made(
            "sf-before",
            "Before you sail",
            "/before-you-sail",
            "What travellers ask at the ticket window.",
            top(
                "sf-be-top",
                "Asked at the window",
                "Before you sail",
                "If it is not answered here, ask the man in the blue jersey."),
            put("sf-be-free", "st-signs")
                .with("What goes free")
                .items(
                    List.of(
                        List.of("bike", "Bicycles", "On the foredeck, tied by the crew."),
                        List.of("dog", "Dogs", "On a lead, and not in the saloon."),
                        List.of("plant", "Seedlings", "Up to a tray. Trees pay like people.")))
                .node(),
            put("sf-be-questions", "st-questions")
                .with("What people ask", "-")
                .items(
                    List.of(
                        List.of(
                            "Does it go in bad weather?",
                            "Up to force seven. Past that the notice on the quay says so from six"
                                + " in the morning."),
                        List.of(
                            "May I bring a bicycle?",
                            "Yes, and it goes free. Tandems go on the first and last boat only."),
                        List.of(
                            "Can a wheelchair come aboard?",
                            "At Wick Quay and Gull Holm, by the ramp. On the other two the landing"
                                + " is a plank."),
                        List.of(
                            "I left something on board.",
                            "It is in the harbour office for a year. After that the crew has it.")))
                .node(),
            put("sf-be-contact", "st-contact")
                .with(
                    "The harbour office",
                    "Somebody is in whenever a boat is out.",
                    "ferry-at-dusk | The ferry coming in to Wick Quay at dusk")
                .items(
                    List.of(
                        List.of("By telephone", "01632 960 118"),
                        List.of("In person", "The hut with the barometer, Wick Quay")))
                .node()));
  }

  List<Page> museum() {
    return List.of(
        made(
            "om-schools",
            "Schools",
            "/schools",
            "A morning in which a class makes a rope that holds its teacher.",
            top(
                "om-sc-top",
                "Ages seven to fourteen",
                "A class makes a rope",
                "Thirty children, eleven metres, and at the end it carries the teacher."),
            put("om-sc-steps", "st-steps")
                .with("How the morning goes", "-")
                .items(
                    List.of(
                        List.of(
                            "Nine o’clock",
                            "Spin",
                            "Hemp is combed and spun into yarn, walking backwards. Everybody falls"
                                + " over once."),
                        List.of(
                            "Ten o’clock",
                            "Lay",
                            "Three strands, three hooks, one child at the crank who must not"
                                + " hurry."),
                        List.of(
                            "Eleven o’clock",
                            "Try",
                            "It goes over the beam in the yard. So far it has always held.")))
                .node(),
            put("om-sc-action", "st-action-slim")
                .with("Mornings from March to October", "Ask for a day > /visit")
                .node()),
        made(
            "om-numbers",
            "In numbers",
            "/in-numbers",
            "What the ropewalk made, and of what.",
            top(
                "om-nu-top",
                "1792 to 1964",
                "The walk in numbers",
                "Taken from the order books, which survived because they were damp."),
            put("om-nu-figures", "st-statistics")
                .with("What left through the gate", "-")
                .items(
                    List.of(
                        List.of("341", "paces from one end of the walk to the other"),
                        List.of("26", "men to close a cable of eighteen inches"),
                        List.of("9", "miles of rope for one ship of the line"),
                        List.of("0", "machines until 1871")))
                .node(),
            put("om-nu-yard", "st-picture-text")
                .with(
                    "rope-coils | Coils of tarred rope on the floor of the store",
                    "In the store",
                    "The last order is still here",
                    "Four coils for a trawler that was sold before they were done. They have been"
                        + " paid for, so they are kept.",
                    "-")
                .node()));
  }

  List<Page> allotments() {
    return List.of(
        made(
            "tv-how",
            "How it works",
            "/how-it-works",
            "From asking for a plot to the first potato.",
            top(
                "tv-ho-top",
                "For those who wait",
                "How it works",
                "Eighty plots, one tap, and a committee that means well."),
            put("tv-ho-steps", "st-steps")
                .with("From asking to digging", "-")
                .items(
                    List.of(
                        List.of(
                            "First",
                            "You put your name down",
                            "On the list in the hut, in ink. It costs nothing and takes about two"
                                + " years."),
                        List.of(
                            "Then",
                            "You walk a plot",
                            "Somebody shows you three and says what grew there. You choose, or"
                                + " wait for better."),
                        List.of(
                            "At last",
                            "You dig",
                            "A quarter of it in the first year is enough. The rest may lie under"
                                + " cardboard.")))
                .node(),
            put("tv-ho-questions", "st-questions")
                .with("What is asked on the path", "-")
                .items(
                    List.of(
                        List.of("May I keep hens?", "Six, and no cock. The neighbours voted."),
                        List.of(
                            "What if I am away in August?",
                            "Tell the plot on either side. They will water, and eat the beans."),
                        List.of(
                            "Is there a lavatory?", "Behind the hut. It composts, and so do we.")))
                .node()),
        made(
            "tv-people",
            "Who digs here",
            "/who-digs-here",
            "The people of the plots.",
            top(
                "tv-pe-top",
                "Since 1917",
                "Who digs here",
                "Nurses, a judge, two bell-ringers, and whoever came with the last plot."),
            put("tv-pe-lines", "st-lines")
                .with("Ask them")
                .items(
                    List.of(
                        List.of(
                            "Ida Fennimore, plot 12",
                            "Here since 1968. Knows what the soil does in a dry May, and says so."),
                        List.of(
                            "The Okafors, plots 31 and 32",
                            "Yams under glass, against all advice, and they came up."),
                        List.of(
                            "Plot 57",
                            "Belongs to the school. Radishes, sunflowers and one scarecrow in a"
                                + " school tie.")))
                .node(),
            put("tv-pe-quote", "st-quote")
                .with("“Nobody here asks what you do. They ask what you sow.”", "Plot 44")
                .node()));
  }

  List<Page> clocks() {
    return List.of(
        made(
            "qc-prices",
            "Prices",
            "/prices",
            "What the bench asks for its work.",
            top(
                "qc-pr-top",
                "Looking is free",
                "Prices",
                "We say what it comes to before we take a screw out."),
            put("qc-pr-list", "st-prices")
                .with("By the clock", "-")
                .items(
                    List.of(
                        List.of("A mantel clock, cleaned", "All wheels out, new oil", "£140"),
                        List.of(
                            "A long-case clock, cleaned", "In your hall or on the bench", "£260"),
                        List.of("A mainspring", "With the barrel cleaned", "£65"),
                        List.of("A wheel cut", "From a drawing or from the stump", "from £120")))
                .node(),
            put("qc-pr-action", "st-action-slim")
                .with("Not sure what it is?", "Bring it in > /bench")
                .node()),
        made(
            "qc-turret",
            "Turret clocks",
            "/turret-clocks",
            "Church and market clocks, wound and mended where they stand.",
            top(
                "qc-tu-top",
                "Mind the ladder",
                "Turret clocks",
                "Eleven towers between the river and the moor, and we know every stair."),
            put("qc-tu-case", "st-picture-text")
                .with(
                    "long-case | A clock movement with its pendulum, taken out of the case",
                    "St Bride’s",
                    "It struck thirteen for nine years",
                    "A pin had worn, no more. The parish was asked whether it should be mended, and"
                        + " agreed by one vote.",
                    "What a repair costs > /prices")
                .node(),
            put("qc-tu-steps", "st-steps")
                .with("How we go about a tower", "-")
                .items(
                    List.of(
                        List.of(
                            "Day one",
                            "We listen",
                            "An hour of it running tells more than an hour of taking it apart."),
                        List.of(
                            "Week one",
                            "We write",
                            "To the parish: what is worn, what it costs, what can wait."),
                        List.of(
                            "Month one",
                            "We mend",
                            "On the spot where we can. What must come down comes down in a"
                                + " basket.")))
                .node()));
  }
}
