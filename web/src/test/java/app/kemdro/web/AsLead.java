package app.kemdro.web;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** Pages and presses of a lead, for tests of rooms. */
public record AsLead(MockMvcTester mvc) {
    /** What an address answers. */
    public MockHttpServletResponse answer(String path) {
        return mvc.get().uri(path).with(user("ines").roles("LEAD")).exchange().getResponse();
    }

    /** The page at an address. */
    public String get(String path) throws Exception {
        return answer(path).getContentAsString(StandardCharsets.UTF_8);
    }

    /** What a press is told, by name; parameters in pairs. */
    public Map<String, Object> post(String path, String... parameters) {
        var request = mvc.post().uri(path).with(csrf()).with(user("ines").roles("LEAD"));
        for (int k = 0; k < parameters.length; k += 2) {
            request.param(parameters[k], parameters[k + 1]);
        }
        return Map.copyOf(request.exchange().getMvcResult().getFlashMap());
    }
}
