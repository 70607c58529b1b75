package app.kemdro.web;

import static org.springframework.security.web.header.writers.ClearSiteDataHeaderWriter.Directive.CACHE;

import app.kemdro.web.parts.assets.Shipped;
import app.kemdro.web.parts.live.Screens;
import app.kemdro.web.records.account.Devices;
import app.kemdro.web.records.account.Throttle;
import app.kemdro.web.records.deed.Deeds;
import app.kemdro.web.records.run.OnTheJob;
import app.kemdro.web.rooms.door.SignInGuard;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.security.autoconfigure.actuate.web.servlet.EndpointRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.crypto.password.Pbkdf2PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.authentication.logout.HeaderWriterLogoutHandler;
import org.springframework.security.web.authentication.rememberme.JdbcTokenRepositoryImpl;
import org.springframework.security.web.authentication.rememberme.PersistentTokenRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.ClearSiteDataHeaderWriter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.CookieRequestCache;

/** Roles: a lead may everything, hands run the chair and see the plan of their jobs, the floor sees the shelf. */
@Configuration
class SecurityConfig {
    private static final String POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
                    + "font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /** Health and numbers, which are served at a port of their own or nowhere, to whoever reaches it. */
    @Bean
    @Order(1)
    SecurityFilterChain watching(HttpSecurity http) throws Exception {
        return http.securityMatcher(EndpointRequest.toAnyEndpoint().excludingLinks())
                .authorizeHttpRequests(may -> may.anyRequest().permitAll())
                .csrf(AbstractHttpConfigurer::disable)
                .sessionManagement(none -> none.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .build();
    }

    /** What comes with the application: nobody is asked who they are, so that nothing waits for the data. */
    @Bean
    @Order(2)
    SecurityFilterChain shipped(HttpSecurity http) throws Exception {
        return http.securityMatcher(Shipped.paths())
                .authorizeHttpRequests(may -> may.anyRequest().permitAll())
                .csrf(AbstractHttpConfigurer::disable)
                .securityContext(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .sessionManagement(AbstractHttpConfigurer::disable)
                .headers(SecurityConfig::headers)
                .build();
    }

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http, OnTheJob onTheJob, Throttle throttle, Deeds deeds, Screens screens, Devices devices)
            throws Exception {
        SignInGuard guard = new SignInGuard(throttle, deeds);
        SavedRequestAwareAuthenticationSuccessHandler inside = new SavedRequestAwareAuthenticationSuccessHandler();
        inside.setDefaultTargetUrl("/shelf");
        CookieRequestCache wanted = wanted();
        inside.setRequestCache(wanted);
        return http.addFilterBefore(guard, UsernamePasswordAuthenticationFilter.class)
                .authorizeHttpRequests(may -> may.dispatcherTypeMatchers(DispatcherType.ASYNC)
                        .permitAll()
                        .requestMatchers(
                                "/sign-in", "/first-lead", "/error", "/board/**", "/certificate", "/certificate.pem")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/", "/shelf")
                        .authenticated()
                        .requestMatchers("/house/units", "/password")
                        .authenticated()
                        .requestMatchers(HttpMethod.POST, "/house/schools/**")
                        .hasAnyRole("LEAD", "HANDS")
                        .requestMatchers("/people/**", "/jobs/new", "/import", "/house/keeping/**")
                        .hasRole("LEAD")
                        .requestMatchers(HttpMethod.POST, "/jobs/{job}/chair/**", "/jobs/{job}/strike/**")
                        .access(onTheJob)
                        .requestMatchers(HttpMethod.GET, "/jobs/{job}/**")
                        .access(onTheJob)
                        .requestMatchers(HttpMethod.GET, "/house/**", "/book")
                        .hasAnyRole("LEAD", "HANDS")
                        .anyRequest()
                        .hasRole("LEAD"))
                .formLogin(form -> form.loginPage("/sign-in")
                        .failureHandler(guard)
                        .successHandler((request, response, who) -> {
                            guard.signedIn(request);
                            inside.onAuthenticationSuccess(request, response, who);
                        }))
                // what a form needs to be believed is kept by the browser: whoever only looks at the door leaves
                // nothing here
                .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
                .requestCache(cache -> cache.requestCache(wanted))
                .rememberMe(device -> device.rememberMeServices(devices))
                .logout(out -> out.logoutUrl("/sign-out")
                        .logoutSuccessUrl("/sign-in")
                        .addLogoutHandler((request, response, who) -> ofSession(request, screens::endIn))
                        .addLogoutHandler(new HeaderWriterLogoutHandler(new ClearSiteDataHeaderWriter(CACHE))))
                .headers(SecurityConfig::headers)
                .build();
    }

    private static void headers(HeadersConfigurer<HttpSecurity> headers) {
        headers.contentSecurityPolicy(csp -> csp.policyDirectives(POLICY))
                .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                // a browser that was told so once would no longer let anybody past a certificate made here
                .httpStrictTransportSecurity(HeadersConfigurer.HstsConfig::disable);
    }

    private static CookieCsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName("kemdro-press");
        tokens.setHeaderName("X-CSRF-TOKEN");
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Lax"));
        return tokens;
    }

    /** The page somebody wanted before they had to sign in, and nothing that a script asked for. */
    private static CookieRequestCache wanted() {
        CookieRequestCache cache = new CookieRequestCache();
        cache.setRequestMatcher(request -> "GET".equals(request.getMethod())
                && String.valueOf(request.getHeader("Accept")).contains("text/html"));
        return cache;
    }

    /** Only names this machine is known by: a page elsewhere whose name was made to lead here gets nothing. */
    @Bean
    static HttpFirewall firewall(@Value("${kemdro.hosts:}") Set<String> hosts) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(name -> isOwn(name, hosts));
        return firewall;
    }

    /** An address in numbers cannot be made to lead elsewhere. */
    static boolean isOwn(String name, Set<String> hosts) {
        return name.equalsIgnoreCase("localhost")
                || name.matches("[0-9.]+|\\[?[0-9a-fA-F:.]*:[0-9a-fA-F:.]*(%\\w+)?]?")
                || hosts.stream().anyMatch(host -> !host.isEmpty() && host.equalsIgnoreCase(name));
    }

    private static void ofSession(HttpServletRequest request, Consumer<String> end) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            end.accept(session.getId());
        }
    }

    /** Hashes of today take a password of any length; those of before are known by their name and made anew when somebody signs in. */
    @Bean
    static PasswordEncoder passwords() {
        String today = "pbkdf2";
        return new DelegatingPasswordEncoder(
                today,
                Map.of(
                        today,
                        Pbkdf2PasswordEncoder.defaultsForSpringSecurity_v5_8(),
                        "bcrypt",
                        new BCryptPasswordEncoder()));
    }

    @Bean
    static PersistentTokenRepository rememberedDevices(DataSource source) {
        JdbcTokenRepositoryImpl tokens = new JdbcTokenRepositoryImpl();
        tokens.setDataSource(source);
        return tokens;
    }
}
