package org.grenu.desktop.plan;

import java.util.List;
import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import org.grenu.app.advice.AdviceWords;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.core.learn.AgeTrend;
import org.grenu.core.learn.NextShot;
import org.grenu.core.learn.Reach;
import org.grenu.core.learn.Slope;
import org.grenu.core.quantity.Reported;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.desk.Appearance;
import org.grenu.figures.plan.AgePainter;
import org.grenu.figures.plan.LearntCurve;
import org.grenu.figures.plan.LeverAxis;
import org.grenu.figures.plan.ResponseFigure;
import org.grenu.figures.plan.ResponsePainter;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;

/** A response against the grind; a dot names its shot and opens it. */
final class CurvePane extends Region {

    private final DialInViewModel model;
    private final Appearance appearance;
    private final FigureImage image = new FigureImage();
    private final Tooltip told = new Tooltip();
    private ResponseFigure figure;

    CurvePane(DialInViewModel model, Appearance appearance) {
        this.model = model;
        this.appearance = appearance;
        setId("dial-in-curve");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setMinHeight(200);
        getChildren().add(image);
        model.answeredProperty().addListener((o, was, is) -> repaint());
        model.responseProperty().addListener((o, was, is) -> repaint());
        model.byAgeProperty().addListener((o, was, is) -> repaint());
        appearance.themeProperty().addListener((o, was, is) -> repaint());
        appearance.scale().addListener((o, was, is) -> repaint());
        widthProperty().addListener((o, was, is) -> repaint());
        heightProperty().addListener((o, was, is) -> repaint());
        setOnMouseMoved(event -> pointAt(event.getX(), event.getY()));
        setOnMouseClicked(event -> at(event.getX(), event.getY()).ifPresent(point -> model.open(point.name())));
    }

    private Optional<ResponseFigure.Point> at(double x, double y) {
        return figure == null ? Optional.empty() : ResponsePainter.pointAt(figure, getWidth(), getHeight(), x, y);
    }

    private void pointAt(double x, double y) {
        Optional<ResponseFigure.Point> point = at(x, y);
        Tooltip.uninstall(this, told);
        point.ifPresent(found -> {
            told.setText(ResponsePainter.told(figure, found));
            Tooltip.install(this, told);
        });
    }

    private void repaint() {
        Optional<LearntCurve> curve = model.curve();
        Optional<CoffeeAdvice> given = Optional.ofNullable(model.answeredProperty().get())
                .flatMap(DialInAnswer::given);
        if (curve.isEmpty() || given.isEmpty() || getWidth() < 2 || getHeight() < 2) {
            figure = null;
            image.clear();
            return;
        }
        if (model.byAgeProperty().get()) {
            figure = null;
            model.ageTrend().ifPresentOrElse(trend -> paint(trend, curve.get()), image::clear);
            return;
        }
        figure = ResponseFigure.of(given.get().advice(), axis(given.get()), curve.get(),
                lines(model.answeredProperty().get().words().orElseThrow(), curve.get()));
        setAccessibleText(
                curve.get().response().title() + " against " + figure.axis().title() + ". "
                        + String.join(". ", figure.next().lines()));
        paint(figure);
    }

    /** Of what is proposed to be moved. */
    private static LeverAxis axis(CoffeeAdvice given) {
        Reach reach = given.setUp().reach();
        Slope lever = given.advice().next() instanceof NextShot.Change change ? change.lever() : Slope.GRIND;
        double step = lever == Slope.GRIND ? reach.grind().step() : reach.others().get(lever).step();
        return new LeverAxis(lever, given.setUp().dial(), given.grinder(), step);
    }

    private void paint(AgeTrend trend, LearntCurve curve) {
        Theme theme = appearance.themeProperty().get();
        TreatmentScale scale = appearance.scale().get();
        setAccessibleText(curve.response().title() + " against age");
        image.paint((g, pen, width, height) -> AgePainter.paint(g, theme, trend, curve.response(),
                point -> scale.color(point.record(), theme), width, height), getWidth(), getHeight());
    }

    private void paint(ResponseFigure wanted) {
        Theme theme = appearance.themeProperty().get();
        TreatmentScale scale = appearance.scale().get();
        image.paint((g, pen, width, height) -> ResponsePainter.paint(g, theme, wanted,
                point -> scale.color(point.record(), theme), width, height), getWidth(), getHeight());
    }

    /** What is expected of the next shot in this response, and with which chance all that is wanted is met. */
    private static List<String> lines(AdviceWords words, LearntCurve curve) {
        LearntCurve.Band band = curve.shot(words.given().advice().next().inputs());
        String unit = curve.response().unit().isEmpty() ? "" : " " + curve.response().unit();
        int decimals = 1;
        return List.of(words.heading(),
                Reported.fixed(band.middle(), decimals) + unit + ", 95 % between "
                        + Reported.fixed(band.low(), decimals)
                        + " and " + Reported.fixed(band.high(), decimals),
                words.chance());
    }
}
