package goodbones.server.demo;

import static goodbones.server.demo.Make.column;
import static goodbones.server.demo.Make.heading;
import static goodbones.server.demo.Make.label;
import static goodbones.server.demo.Make.link;
import static goodbones.server.demo.Make.named;
import static goodbones.server.demo.Make.page;
import static goodbones.server.demo.Make.photo;
import static goodbones.server.demo.Make.placing;
import static goodbones.server.demo.Make.row;
import static goodbones.server.demo.Make.scheme;
import static goodbones.server.demo.Make.section;
import static goodbones.server.demo.Make.style;
import static goodbones.server.demo.Make.styled;
import static goodbones.server.demo.Make.text;
import static goodbones.server.demo.Make.words;

import goodbones.document.Node;
import java.util.List;

/** The pages of the clients. */
final class DemoPages {
  /** A page and what is said of it. */
  record Page(String id, String title, String address, String description, Node root) {}

  private DemoPages() {}

  static List<Page> ferries() {
    return List.of(
        new Page(
            "sf-home",
            "Home",
            "/",
            "Ferries from Wick Quay to three islands, all year.",
            page(
                "sf-home",
                placing(
                    "sf-opening",
                    DemoPieces.OPENING,
                    words("ob-label", "Sailing since 1931"),
                    words("ob-heading", "Three islands, one short crossing"),
                    words(
                        "ob-text",
                        "Eleven sailings a day from Wick Quay. Dogs and bicycles go free."),
                    words("ob-button", "See today’s sailings"),
                    link("ob-button", "/timetable"),
                    photo("ob-section", "ferry-at-dusk", "")),
                routes(),
                placing(
                    "sf-hours",
                    DemoPieces.TIMES,
                    words("hb-heading", "Next from Wick Quay"),
                    words("hb-text", "09:40, 11:10, 12:40 and 14:10 every day until October."),
                    words("hb-label", "Before you board"),
                    words(
                        "hb-note",
                        "Be on the quay ten minutes before. The last boat back waits for"
                            + " nobody."),
                    style("hb-section", "padding-top", "72px")),
                section(
                    "sf-words",
                    "Words of travellers",
                    styled(
                        heading("sf-words-h", 2, "“The best half hour of our week.”"),
                        "max-width",
                        "720px"),
                    text("sf-words-t", "Maud Tillery, Gull Holm, on the seven o’clock boat")))),
        new Page(
            "sf-timetable",
            "Timetable",
            "/timetable",
            "When the boats leave Wick Quay and the islands.",
            page(
                "sf-timetable",
                title(
                    "sf-tt-title",
                    "Until 31 October",
                    "Timetable",
                    "Every sailing from the quay and back. In a gale, ask the harbour office."),
                placing(
                    "sf-tt-cards",
                    DemoPieces.CARDS,
                    words("tc-heading", "From Wick Quay"),
                    words("tc-h1", "Gull Holm"),
                    words(
                        "tc-t1", "07:00, 09:40, 11:10, 14:10 and 17:30. Back half an hour later."),
                    words("tc-h2", "Inner Skerry"),
                    words("tc-t2", "08:15, 12:40 and 16:05. Mind the tide at the landing."),
                    words("tc-h3", "Long Sand"),
                    words(
                        "tc-t3", "10:00 and 15:00 from May to September, never on a spring tide.")),
                placing(
                    "sf-tt-action",
                    DemoPieces.ACTION,
                    words("ca-heading", "Coming with a group?"),
                    words("ca-text", "Twelve and more travel for the price of ten."),
                    words("ca-button", "See the fares"),
                    link("ca-button", "/fares")))),
        new Page(
            "sf-fares",
            "Fares",
            "/fares",
            "What a crossing costs, with children, dogs and bicycles.",
            page(
                "sf-fares",
                title(
                    "sf-fa-title",
                    "One price all year",
                    "Fares",
                    "Pay on board, in coins or by card. Under fives and over eighties come free."),
                section(
                    "sf-fa-table",
                    "What it costs",
                    styled(
                        row(
                            "sf-fa-row",
                            "6 6",
                            column(
                                "sf-fa-single",
                                label("sf-fa-l1", "Single"),
                                heading("sf-fa-h1", 2, "£4.20"),
                                text("sf-fa-t1", "To any island. Children half.")),
                            column(
                                "sf-fa-return",
                                label("sf-fa-l2", "Day return"),
                                heading("sf-fa-h2", 2, "£7.00"),
                                text(
                                    "sf-fa-t2", "Land on one island and come home from another."))),
                        "column-gap",
                        "48px")),
                placing(
                    "sf-fa-quote",
                    DemoPieces.QUOTE,
                    words("qb-words", "“Cheaper than the bus, and it has seals.”"),
                    words("qb-author", "Overheard on the upper deck")))));
  }

  private static Node routes() {
    return section(
        "sf-routes",
        "Three routes",
        heading("sf-routes-h", 2, "Where shall we take you?"),
        styled(
            row(
                "sf-routes-row",
                "4 4 4",
                route("1", "Gull Holm", "35 minutes. Seals on most mornings, tea at the landing."),
                route("2", "Inner Skerry", "50 minutes. A lighthouse with 142 steps to climb."),
                route("3", "Long Sand", "Summer only. Bring a blanket and something to read.")),
            "columns@tablet",
            "6 6"));
  }

  private static Node route(String number, String name, String words) {
    return styled(
        column(
            "sf-route-" + number,
            styled(heading("sf-route-h" + number, 3, name), "font-size", "22px"),
            text("sf-route-t" + number, words)),
        "border-top-width",
        "3px",
        "border-top-color",
        "{t-accent}",
        "padding-top",
        "16px");
  }

  private static Node title(String id, String label, String heading, String words) {
    return placing(
        id,
        DemoPieces.TITLE,
        words("tb-label", label),
        words("tb-heading", heading),
        words("tb-text", words));
  }

  static List<Page> museum() {
    return List.of(
        new Page(
            "om-home",
            "Home",
            "/",
            "A working ropewalk, four hundred years old, with demonstrations every day.",
            page(
                "om-home",
                placing(
                    "om-opening",
                    DemoPieces.OPENING,
                    words("ob-label", "Open all winter"),
                    words("ob-heading", "Four hundred years of rope"),
                    words("ob-text", "Walk the longest brick shed in the county."),
                    words("ob-button", "Plan a visit"),
                    link("ob-button", "/visit"),
                    photo("ob-section", "ropewalk", "")),
                section(
                    "om-month",
                    "This month",
                    label("om-month-l", "This month"),
                    heading("om-month-h", 2, "The great wheel turns again"),
                    text(
                        "om-month-t",
                        "Demonstrations at eleven and at three. Bring strong hands: visitors lay"
                            + " the last strand themselves, and take a yard of it home.")),
                placing(
                    "om-hours",
                    DemoPieces.TIMES,
                    words("hb-heading", "Tuesday to Sunday, ten to five"),
                    words("hb-text", "Last entry at four. Closed on Mondays, when we tar."),
                    words("hb-label", "With children"),
                    words("hb-note", "Under twelves come in free and may ring the bell.")),
                styled(
                    section(
                        "om-yard",
                        "From the yard",
                        heading("om-yard-h", 2, "Every ship in the bay once hung on our rope"),
                        text(
                            "om-yard-t",
                            "In 1840 the walk made nine miles of cable a week. Its ledgers name"
                                + " every ship, every spinner and every broken strand.")),
                    "color",
                    "#f6ead6",
                    "background-color",
                    "#33261c"))),
        new Page(
            "om-visit",
            "Visit",
            "/visit",
            "How to find the ropewalk, and what it costs.",
            page(
                "om-visit",
                title(
                    "om-vi-title",
                    "Plan a visit",
                    "Come on a dry day or a wet one",
                    "The walk is under one roof, a quarter of a mile long, and warm at both ends."),
                placing(
                    "om-vi-cards",
                    DemoPieces.CARDS,
                    words("tc-heading", "Before you come"),
                    words("tc-h1", "By train"),
                    words("tc-t1", "Oakum Halt is four minutes away, by the path along the wall."),
                    words("tc-h2", "With a pram"),
                    words(
                        "tc-t2", "The floor is level all the way. There are two places to change."),
                    words("tc-h3", "With a school"),
                    words(
                        "tc-t3", "Thirty at a time, mornings only. Every child makes a bracelet.")),
                placing(
                    "om-vi-action",
                    DemoPieces.ACTION,
                    words("ca-heading", "Tickets are sold at the door"),
                    words("ca-text", "Six pounds, and good for a year."),
                    words("ca-button", "Write to us"),
                    link("ca-button", "mailto:walk@oakum.example"),
                    scheme("ca-section", "dark")))),
        new Page(
            "om-walk",
            "The walk",
            "/walk",
            "How a rope is made, from hemp to hawser.",
            page(
                "om-walk",
                title(
                    "om-wa-title",
                    "From hemp to hawser",
                    "How a rope is made",
                    "Hackled, spun, tarred, laid and closed: five words for a day’s work."),
                section(
                    "om-wa-steps",
                    "Steps",
                    heading("om-wa-h", 2, "A thousand feet at a stride"),
                    named(
                        text(
                            "om-wa-t",
                            "A spinner walks backwards all day, paying the fibre out from the waist."
                                + " Twenty miles a week, and never once in a straight line."),
                        "s-lead")),
                placing(
                    "om-wa-quote",
                    DemoPieces.QUOTE,
                    words("qb-words", "“You hear when a strand is right. It hums.”"),
                    words("qb-author", "Asa Pell, the last foreman")))));
  }

  static List<Page> allotments() {
    return List.of(
        new Page(
            "tv-home",
            "Home",
            "/",
            "Eighty plots between the river and the railway.",
            page(
                "tv-home",
                placing(
                    "tv-opening",
                    DemoPieces.SPLIT,
                    words("so-label", "Tern Valley Allotments"),
                    words("so-heading", "Eighty plots, one tap, good neighbours"),
                    words("so-text", "We have dug this bend of the river since 1917."),
                    words("so-button", "Ask for a plot"),
                    link("so-button", "/waiting-list"),
                    photo("so-picture", "plots-in-june", "Rows of beans and a shed in June")),
                placing(
                    "tv-cards",
                    DemoPieces.CARDS,
                    words("tc-heading", "What is on"),
                    words("tc-h1", "Seed swap"),
                    words("tc-t1", "First Sunday in March, in the hut. Bring an envelope."),
                    words("tc-h2", "Work morning"),
                    words("tc-t2", "The hedge along plots 40 to 52. Soup at noon."),
                    words("tc-h3", "Show"),
                    words("tc-t3", "Last Saturday in August. Longest runner bean wins the cup.")),
                placing(
                    "tv-hours",
                    DemoPieces.TIMES,
                    words("hb-heading", "The gate is open from dawn to dusk"),
                    words("hb-text", "The hut on Saturdays from nine to noon."),
                    words("hb-label", "Water"),
                    words("hb-note", "The tap runs from April to October. Cans, not hoses.")))),
        new Page(
            "tv-waiting",
            "Waiting list",
            "/waiting-list",
            "How long it takes to get a plot, and how to put your name down.",
            page(
                "tv-waiting",
                title(
                    "tv-wl-title",
                    "Fourteen months or so",
                    "Waiting list",
                    "Thirty-one names stand on it today. Half plots come up sooner."),
                placing(
                    "tv-wl-action",
                    DemoPieces.ACTION,
                    words("ca-heading", "Put your name down"),
                    words("ca-text", "Tell us where you live and how much you want to dig."),
                    words("ca-button", "Write to the secretary"),
                    link("ca-button", "mailto:plots@ternvalley.example")))),
        new Page(
            "tv-seasons",
            "Seasons",
            "/seasons",
            "What to do on the plot, month by month.",
            page(
                "tv-seasons",
                title(
                    "tv-se-title",
                    "Month by month",
                    "Seasons",
                    "What old hands do when, on heavy soil with a late frost."),
                placing(
                    "tv-se-cards",
                    DemoPieces.CARDS,
                    words("tc-heading", "This quarter"),
                    words("tc-h1", "January"),
                    words("tc-t1", "Prune apples. Order seed. Mend the net."),
                    words("tc-h2", "February"),
                    words("tc-t2", "Chit potatoes on the window sill. Dung the bean trench."),
                    words("tc-h3", "March"),
                    words("tc-t3", "Sow broad beans if the soil does not stick to your boot.")),
                placing(
                    "tv-se-quote",
                    DemoPieces.QUOTE,
                    words("qb-words", "“Never plant by the calendar. Sit on the soil.”"),
                    words("qb-author", "Ida Fennimore, plot 12, since 1968")))));
  }

  static List<Page> clocks() {
    return List.of(
        new Page(
            "qc-home",
            "Home",
            "/",
            "Clocks mended by hand above the fish market.",
            page(
                "qc-home",
                placing(
                    "qc-opening",
                    DemoPieces.SPLIT,
                    words("so-label", "Quillon Clock Repair"),
                    words("so-heading", "It only needs a little time"),
                    words("so-text", "Long-case, mantel, turret: opened, cleaned and set going."),
                    words("so-button", "Bring a clock"),
                    link("so-button", "/bench"),
                    photo("so-picture", "clock-bench", "A clock face and brass wheels on a bench")),
                placing(
                    "qc-cards",
                    DemoPieces.CARDS,
                    words("tc-heading", "What we do"),
                    words("tc-h1", "Clean"),
                    words("tc-t1", "Every wheel out, every pivot polished. Three weeks."),
                    words("tc-h2", "Cut"),
                    words(
                        "tc-t2",
                        "A tooth, a wheel, a whole train, from your drawing or the stump."),
                    words("tc-h3", "Wind"),
                    words("tc-t3", "We call on forty clocks in the town every Friday.")),
                placing(
                    "qc-quote",
                    DemoPieces.QUOTE,
                    words("qb-words", "“It strikes thirteen no longer, and I rather miss it.”"),
                    words("qb-author", "The verger of St Bride’s")))),
        new Page(
            "qc-repairs",
            "Repairs",
            "/repairs",
            "What a repair costs and how long it takes.",
            page(
                "qc-repairs",
                title(
                    "qc-re-title",
                    "Price before work",
                    "Repairs",
                    "We look at it while you wait, and say what it comes to. Looking is free."),
                section(
                    "qc-re-list",
                    "What goes wrong",
                    heading("qc-re-h", 2, "What goes wrong with clocks"),
                    text(
                        "qc-re-t",
                        "Oil turns to varnish, a spring tires, a pivot wears its hole oval. Nothing"
                            + " of that is dear to mend. Dear is what was mended with glue.")),
                placing(
                    "qc-re-action",
                    DemoPieces.ACTION,
                    words("ca-heading", "Bring it in a blanket"),
                    words("ca-text", "Take the pendulum off first, and keep it upright."),
                    words("ca-button", "Find the bench"),
                    link("ca-button", "/bench"),
                    scheme("ca-section", "dark")))),
        new Page(
            "qc-bench",
            "The bench",
            "/bench",
            "Where we are and when we are in.",
            page(
                "qc-bench",
                title(
                    "qc-be-title",
                    "Above the fish market",
                    "The bench",
                    "Two flights up. Ring the bell that does not strike."),
                placing(
                    "qc-be-hours",
                    DemoPieces.TIMES,
                    words("hb-heading", "Monday to Thursday, eight to four"),
                    words("hb-text", "On Fridays we wind the town."),
                    words("hb-label", "Parcels"),
                    words("hb-note", "Send movements, never cases. Insure them.")))));
  }
}
