# frozen_string_literal: true

require_relative "../support/api"

# A paper is the same whether it becomes a page or a PDF.
RSpec.describe "The print room", :api do
  let!(:ines) { sign_in(household!) }
  let(:chilli) { inside(ines) { |house| house.recipes.values.find { |_, one| one.key == "two-bean-chilli" }.first } }

  def paper(path)
    get "/api/print/#{path}"
    expect(last_response.status).to eq(200)
    JSON.parse(last_response.body)
  end

  it "prints a week with what is still to buy and what to use up" do
    act(:PlanMeal, ines, { recipe_id: chilli, on: HouseSupport::TODAY.iso8601 })
    put_away(ines, "hummus", "fridge", printed_on: (HouseSupport::TODAY + 2).iso8601, printed_kind: "use_by")
    week, use_up = paper("week")["parts"]
    expect(week["rows"].size).to eq(7)
    expect(week["rows"].first[1]).to include("Two-bean chilli")
    expect(week["rows"].first[2]).to include("kidney beans")
    expect(use_up["rows"].flatten).to include(/Hummus/)
    get "/api/print/week.pdf"
    expect([last_response.status, last_response.content_type]).to eq([200, "application/pdf"])
  end

  it "prints an occasion with its clock counted back" do
    id = act(:KeepOccasion, ines, {
      name: "Feast", recurrence: { kind: "date", month: 12, day: 5 }, meal: "dinner", serve_at: "00:20",
      dishes: [{ dish: "two-bean-chilli" }], notes: "Lanterns"
    })["occasion_id"]
    made = paper("occasions/#{id}")
    begun, last = made["parts"].find { |part| part["heading"].start_with?("What to begin") }["rows"].values_at(0, -1)
    expect(begun.first).to match(/\A23:\d\d\z/)
    expect(begun.last).to match(/Two-bean chilli: \d+ minutes of work \(the day before\)/)
    expect(last).to eq(["00:20", "On the table"])
    expect(made["parts"].last["items"]).to eq(["Lanterns"])
    get "/api/print/occasions/#{id}/pdf"
    expect(last_response.body).to start_with("%PDF")
  end

  it "takes no guest whose word for what they may not have nobody knows" do
    guests = ->(word) { { people: [], guests: [{ name: "Bram", excludes: [word] }] } }
    facts = { name: "Feast", recurrence: { kind: "date", month: 12, day: 5 }, meal: "dinner", serve_at: "18:00" }
    send_json("/api/occasions", { **facts, eaters: guests.("nutz") })
    expect(last_response.status).to eq(422)
    send_json("/api/plan/slots", { on: HouseSupport::TODAY.iso8601, meal: "dinner", eaters: guests.("nutz") })
    expect(last_response.status).to eq(422)
    send_json("/api/occasions", { **facts, eaters: guests.("tree-nut") })
    expect(last_response.status).to eq(200)
  end

  it "takes no day outside a household's life, wherever one is asked for" do
    %w[plan print/week plan/audit].each do |path|
      get "/api/#{path}?from=-4712-01-01"
      expect(last_response.status).to eq(422), path
    end
    id = act(:KeepOccasion, ines, { name: "Feast", recurrence: { kind: "date", month: 12, day: 5 }, meal: "dinner",
                                    serve_at: "18:00" })["occasion_id"]
    send_json("/api/occasions/#{id}/note", { on: "-4712-01-01", heads: 3 })
    expect(last_response.status).to eq(422)
  end
end
