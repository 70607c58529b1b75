package app.kemdro.web;

import app.kemdro.web.records.run.OnTheJob;
import jakarta.servlet.DispatcherType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;

/** Roles: a lead may everything, hands run the chair and see the plan of their jobs, the floor sees the shelf. */
@Configuration
class SecurityConfig {
    private static final String POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
                    + "font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain chain(HttpSecurity http, OnTheJob onTheJob) throws Exception {
        return http.authorizeHttpRequests(
                        may -> may.requestMatchers("/css/**", "/js/**", "/fonts/**", "/figure/**", "/icons/**")
                                .permitAll()
                                .dispatcherTypeMatchers(DispatcherType.ASYNC)
                                .permitAll()
                                .requestMatchers("/sign-in", "/first-lead", "/error", "/board/**")
                                .permitAll()
                                .requestMatchers(HttpMethod.GET, "/", "/shelf")
                                .authenticated()
                                .requestMatchers("/house/units")
                                .authenticated()
                                .requestMatchers(HttpMethod.POST, "/house/schools/**")
                                .hasAnyRole("LEAD", "HANDS")
                                .requestMatchers("/people/**", "/jobs/new", "/import", "/house/backup")
                                .hasRole("LEAD")
                                .requestMatchers(HttpMethod.POST, "/jobs/{job}/chair/**", "/jobs/{job}/strike/**")
                                .access(onTheJob)
                                .requestMatchers(HttpMethod.GET, "/jobs/{job}/**")
                                .access(onTheJob)
                                .requestMatchers(HttpMethod.GET, "/house/**", "/book")
                                .hasAnyRole("LEAD", "HANDS")
                                .anyRequest()
                                .hasRole("LEAD"))
                .formLogin(form -> form.loginPage("/sign-in").defaultSuccessUrl("/shelf"))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in"))
                .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(POLICY)))
                .build();
    }

    @Bean
    PasswordEncoder passwords() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }
}
