package org.grenu.figures.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.grenu.core.demo.DemoShelf;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.entry.Entries;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;
import org.grenu.core.strength.Reading;
import org.grenu.core.strength.Refractometer;
import org.grenu.core.strength.StrengthSeries;
import org.grenu.figures.strength.SeriesFigure;
import org.grenu.figures.strength.SeriesPainter;
import org.grenu.figures.theme.Theme;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every picture of the demo's shelf, of empty things and of crowded ones, stays within its place. */
class ShelfFiguresTest {

    private static final int WIDTH = 590;
    private static final int MARGIN = 40;
    private static final Optional<RestWindow> REST = Optional
            .of(new RestWindow(OptionalDouble.of(5), OptionalDouble.of(14), "rest: 5–14 days"));
    private static final List<ShelfShot> SHOTS = shots();

    private static List<ShelfShot> shots() {
        Shelf shelf = new Shelf(DemoShelf.items());
        List<ShelfShot> shots = new ArrayList<>();
        DemoStudy.shots()
                .forEach(shot -> shots.add(new ShelfShot(shots.size() + 1, shelf.complete(shot.shot().record()))));
        return shots;
    }

    private static ShelfFigures figures(LocalDate today) {
        return new ShelfFigures(SHOTS, REST, today, DisplayUnits.CANONICAL);
    }

    static Stream<ShelfItem> things() {
        Stream<ShelfItem> empty = Stream.of(ShelfKind.values())
                .map(kind -> new ShelfItem(99, kind, "An empty " + kind.one() + " with a name that is rather long",
                        List.of(new ShelfVersion(0, 1, Optional.empty(), "", Entries.NONE))));
        String words = "words that go on and on, ".repeat(12);
        Stream<ShelfItem> crowded = Stream
                .of(ShelfKind.COFFEE, ShelfKind.WATER, ShelfKind.STUDY, ShelfKind.MACHINE, ShelfKind.RECIPE)
                .map(kind -> {
                    Entries entries = Entries.NONE;
                    for (var field : kind.fields()) {
                        entries = switch (field.kind()) {
                            case TEXT, NAME_LIST, ARM_LIST -> entries.with(field, words);
                            case NUMBER -> entries.with(field, field.unit().equals("%") || field.unit().equals("bar")
                                    ? "1.123" : field.unit().equals("g/L") ? "700" : "20");
                            default -> entries;
                        };
                    }
                    return new ShelfItem(98, kind, "crowded",
                            List.of(new ShelfVersion(0, 1, Optional.empty(), "", entries)));
                });
        return Stream.of(DemoShelf.items().stream(), empty, crowded).flatMap(stream -> stream);
    }

    @ParameterizedTest
    @MethodSource("things")
    void staysWithinItsPlaceAndShowsSomething(ShelfItem item) {
        for (ShelfVersion version : item.versions()) {
            ShelfFigure figure = figures(LocalDate.of(2026, 5, 20)).of(item, version);
            BufferedImage image = painted(figure, Theme.LIGHT);
            assertThat(inked(image, MARGIN, MARGIN, WIDTH, (int) figure.height())).as("something is drawn")
                    .isGreaterThan(40);
            int outside = inked(image, 0, 0, image.getWidth(), image.getHeight())
                    - inked(image, MARGIN - 2, MARGIN - 2, WIDTH + 4, (int) figure.height() + 4);
            assertThat(outside).as("pixels of %s outside its place", item.name()).isZero();
            assertThat(figure.words()).isNotBlank();
        }
    }

    @Test
    void darkIsReadOnDark() {
        ShelfItem rig = DemoShelf.items()
                .stream()
                .filter(item -> item.name().equals("Rig 2"))
                .findFirst()
                .orElseThrow();
        BufferedImage dark = painted(figures(LocalDate.of(2026, 5, 20)).of(rig, rig.newest()), Theme.DARK);
        assertThat(new Color(dark.getRGB(MARGIN + 46, MARGIN + 31), true).getAlpha()).isPositive();
        assertThat(new Color(dark.getRGB(MARGIN + 46, MARGIN + 31)).getRed()).as("a light ring").isGreaterThan(120);
    }

    /** The worked demo: a bag's doses, purges and waste, and days since roast on a day. */
    @Test
    void aBagCountsItsShots() {
        ShelfItem bag = DemoShelf.items()
                .stream()
                .filter(item -> item.name().equals("Siskin 3 bag A"))
                .findFirst()
                .orElseThrow();
        BagFigure figure = (BagFigure) figures(LocalDate.of(2026, 6, 2)).of(bag, bag.newest());
        assertThat(figure.shots()).hasSize(12);
        assertThat(figure.age()).hasValue(20);
        double doses = SHOTS.stream()
                .filter(shot -> shot.record().text(RecordField.BAG).orElse("").equals("Siskin 3 bag A"))
                .mapToDouble(shot -> shot.record().number(RecordField.DOSE).orElseThrow()
                        + shot.record().number(RecordField.PURGE).orElse(0))
                .sum();
        assertThat(figure.stock().left().orElseThrow()).isCloseTo(500 - doses - 8, within(1e-9));
    }

    @Test
    void aStudyCountsShotsByArmAndDay() {
        ShelfItem study = DemoShelf.items()
                .stream()
                .filter(item -> item.name().equals(DemoStudy.NAME))
                .findFirst()
                .orElseThrow();
        StudyFigure figure = (StudyFigure) figures(LocalDate.of(2026, 6, 2)).of(study, study.newest());
        assertThat(figure.days()).containsExactly("2026-05-13", "2026-05-14");
        assertThat(figure.arms().get("no arm named")).containsExactly(9, 9);
    }

    @Test
    void aGrinderShowsWhichSettingsEachCoffeeHad() {
        ShelfItem grinder = DemoShelf.items()
                .stream()
                .filter(item -> item.name().equals("G-burr A"))
                .findFirst()
                .orElseThrow();
        GrinderFigure figure = (GrinderFigure) figures(LocalDate.of(2026, 6, 2)).of(grinder, grinder.newest());
        assertThat(figure.used()).containsOnlyKeys("Lot Heron 14", "Lot Siskin 3");
        assertThat(figure.used().get("Lot Siskin 3")).hasSize(22).contains(2.4, 3.0, 2.0);
    }

    @Test
    void aSeriesIsDrawnAlongItsClockOnlyWhenEveryTimeIsKnown() {
        SeriesFigure timed = series("9.40@0", "9.41@35", "9.43@70/24/24/unfiltered");
        SeriesFigure untimed = series("9.40", "9.41@35", "9.90", "9.41", "9.40", "9.40");
        assertThat(timed.timed()).isTrue();
        assertThat(untimed.timed()).isFalse();
        assertThat(untimed.outlier()).hasValue(2);
        for (SeriesFigure figure : List.of(timed, untimed, series("9.4"), series())) {
            BufferedImage image = new BufferedImage(WIDTH + 2 * MARGIN, 210 + 2 * MARGIN, BufferedImage.TYPE_INT_ARGB);
            Graphics2D g = image.createGraphics();
            g.translate(MARGIN, MARGIN);
            SeriesPainter.paint(g, Theme.LIGHT, figure, WIDTH, 210);
            assertThat(inked(image, MARGIN, MARGIN, WIDTH, 210)).isGreaterThan(40);
            assertThat(inked(image, 0, 0, image.getWidth(), image.getHeight()))
                    .isEqualTo(inked(image, MARGIN - 2, MARGIN - 2, WIDTH + 4, 214));
        }
    }

    private static SeriesFigure series(String... readings) {
        return SeriesFigure.of(new StrengthSeries(Stream.of(readings).map(Reading::parse).toList(),
                OptionalDouble.empty(), Refractometer.USUAL, Optional.empty(),
                OptionalDouble.empty()), "% shown");
    }

    private static BufferedImage painted(ShelfFigure figure, Theme theme) {
        BufferedImage image = new BufferedImage(WIDTH + 2 * MARGIN, (int) figure.height() + 2 * MARGIN,
                BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.translate(MARGIN, MARGIN);
        figure.paint(g, theme, WIDTH);
        g.dispose();
        return image;
    }

    private static int inked(BufferedImage image, int x, int y, int width, int height) {
        int count = 0;
        for (int row = Math.max(0, y); row < Math.min(image.getHeight(), y + height); row++) {
            for (int column = Math.max(0, x); column < Math.min(image.getWidth(), x + width); column++) {
                count += (image.getRGB(column, row) >>> 24) > 24 ? 1 : 0;
            }
        }
        return count;
    }
}
