"""The golfer's line on the golfer's page: pooled links, and a change that is noted and taken back."""

from playwright.sync_api import Page, expect


def test_the_golfers_page_opens_with_the_line_and_takes_a_change(page: Page):
    page.goto("/")
    page.locator("a[href^='/golfers/']", has_text="Pell Marchetti-Oduya").first.click()
    line = page.locator("[data-golfers-line]")
    expect(line.get_by_role("listitem").first).to_contain_text("nine times in ten between")
    expect(line.get_by_role("listitem").filter(has_text="Face at address")).to_have_count(1)
    line.get_by_label("Something was changed today").fill("new putter")
    line.get_by_role("button", name="Note the change").click()
    expect(line).to_contain_text("new putter")
    expect(line.get_by_label("Something was changed today")).to_have_value("")
    line.get_by_role("button", name="Take back").click()
    expect(line.get_by_role("button", name="Take back")).to_have_count(0)
