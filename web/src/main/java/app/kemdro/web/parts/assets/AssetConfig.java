package app.kemdro.web.parts.assets;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.FlashMapManager;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.VersionResourceResolver;
import org.springframework.web.servlet.support.SessionFlashMapManager;

/**
 * Serves what ships under addresses that change when the content does, so that browsers may keep it for a year. Only these
 * folders are mapped: a mapping of everything makes each link of a page look for a file, which costs more than the page.
 */
@Configuration
class AssetConfig implements WebMvcConfigurer {
    private final String build;

    AssetConfig(@Value("${kemdro.build}") String build) {
        this.build = build;
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        for (String folder : Shipped.FOLDERS) {
            VersionResourceResolver versions = new VersionResourceResolver();
            // modules import one another by relative paths, so all of them share one version
            serve(
                    registry,
                    folder,
                    folder.equals("js")
                            ? versions.addFixedVersionStrategy(build, "/**")
                            : versions.addContentVersionStrategy("/**"));
        }
    }

    private static void serve(ResourceHandlerRegistry registry, String folder, VersionResourceResolver versions) {
        registry.addResourceHandler("/" + folder + "/**")
                .addResourceLocations("classpath:/static/" + folder + "/")
                .setCacheControl(
                        CacheControl.maxAge(java.time.Duration.ofDays(365)).cachePublic())
                .resourceChain(true)
                .addResolver(versions);
    }

    /** To ask whether something was to be said after a press reads the session, and with it the data. */
    @Bean
    FlashMapManager flashMapManager() {
        return new SessionFlashMapManager() {
            @Override
            protected @Nullable List<FlashMap> retrieveFlashMaps(HttpServletRequest request) {
                return Shipped.is(request) ? null : super.retrieveFlashMaps(request);
            }
        };
    }

    @Bean
    ResourceUrlEncodingFilter assetAddresses() {
        return new ResourceUrlEncodingFilter();
    }
}
