package org.grenu.core.property;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.ArgumentsProvider;
import org.junit.jupiter.params.provider.ArgumentsSource;
import org.junit.jupiter.params.support.AnnotationConsumer;
import org.junit.jupiter.params.support.ParameterDeclarations;

/**
 * Gives a parameterized test {@link Draws} of so many seeds. A failure names its seed, and the same seeds are drawn
 * each
 * time; {@code -Dgrenu.seed=N} draws others.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@ArgumentsSource(Seeds.Provider.class)
public @interface Seeds {

    /** {@return how many} */
    int value();

    /** Counts upwards from the first seed. */
    final class Provider implements ArgumentsProvider, AnnotationConsumer<Seeds> {

        private int count;

        @Override
        public void accept(Seeds seeds) {
            count = seeds.value();
        }

        @Override
        public Stream<? extends Arguments> provideArguments(ParameterDeclarations parameters,
                ExtensionContext context) {
            long first = Long.getLong("grenu.seed", 1);
            return IntStream.range(0, count).mapToObj(i -> Arguments.of(new Draws(first + i)));
        }
    }
}
