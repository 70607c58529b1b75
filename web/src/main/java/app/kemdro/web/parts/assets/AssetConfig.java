package app.kemdro.web.parts.assets;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.VersionResourceResolver;

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
        for (String folder : new String[] {"css", "fonts", "figure", "icons"}) {
            serve(registry, folder, new VersionResourceResolver().addContentVersionStrategy("/**"));
        }
        // modules import one another by relative paths, so all of them share one version
        serve(registry, "js", new VersionResourceResolver().addFixedVersionStrategy(build, "/**"));
    }

    private static void serve(ResourceHandlerRegistry registry, String folder, VersionResourceResolver versions) {
        registry.addResourceHandler("/" + folder + "/**")
                .addResourceLocations("classpath:/static/" + folder + "/")
                .setCacheControl(
                        CacheControl.maxAge(java.time.Duration.ofDays(365)).cachePublic())
                .resourceChain(true)
                .addResolver(versions);
    }

    @Bean
    ResourceUrlEncodingFilter assetAddresses() {
        return new ResourceUrlEncodingFilter();
    }
}
