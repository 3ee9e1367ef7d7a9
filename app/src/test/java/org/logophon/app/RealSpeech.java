package org.logophon.app;

import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.Map;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.MapPropertySource;
import org.springframework.test.context.ContextConfiguration;

/** Tests that judge the sound: on an application of their own, whose voices are the machine's. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
@Inherited
@ContextConfiguration(initializers = RealSpeech.Settings.class)
@interface RealSpeech {

    final class Settings implements ApplicationContextInitializer<ConfigurableApplicationContext> {

        @Override
        public void initialize(ConfigurableApplicationContext application) {
            application
                    .getEnvironment()
                    .getPropertySources()
                    .addFirst(new MapPropertySource(
                            "real speech",
                            Map.of(
                                    "logophon.tests.speech",
                                    "real",
                                    "logophon.watch-folder",
                                    "",
                                    "spring.datasource.url",
                                    OtherDatabase.create("spoken").url())));
        }
    }
}
