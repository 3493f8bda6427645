# frozen_string_literal: true

require_relative "../base"
require_relative "../views/outage_view"
require_relative "../views/prepared_view"
require_relative "../../desk/acts/begin_outage"
require_relative "../../desk/acts/change_outage"
require_relative "../../desk/acts/settle_outage"

module NutShelf
  module Api
    # A power cut: begun in one touch, read twice, settled in one act.
    class Outages < Base
      get("/") do
        now = moment_param(:now)
        findings = found_param
        read_only do |work|
          outage = work.house.kits.outage
          json(outage: outage && OutageView.new(work, outage, now: now, findings: findings).call)
        end
      end

      get("/prepared") do
        view(:stock, :plan, :rules, :people) { |work| PreparedView.new(work, work.house.kits.outage).call }
      end

      # A phone without network knows no number of the cut that it told of.
      post("/current/change") { act(Desk::ChangeOutage, { outage_id: nil, **body_as("ChangeOutage") }) }

      post("/") { act(Desk::BeginOutage, body_as("BeginOutage")) }

      post("/:id/change") { act(Desk::ChangeOutage, { outage_id: id_param, **body_as("ChangeOutage") }) }

      post("/:id/settle") { act_on_stacks(Desk::SettleOutage, { outage_id: id_param, **body_as("SettleOutage") }) }

      # A stack with what was found of it: "12:icy", "13:warm:1.5".
      FOUND = /\A([1-9]\d{0,17}):(hard|icy|cold|warm)(?::(\d{1,3}(?:\.\d{1,2})?))?\z/

      helpers do
        def found_param
          params[:found].to_s.split(",").first(1000).to_h do |text|
            id, state, warm = text.match(FOUND)&.captures
            unless id
              refuse("invalid", "#{text[0, 40]} is no finding.", "Write it like 12:icy or 13:warm:1.5.",
                errors: [{ pointer: "/found", detail: "It must read like 12:icy." }])
            end
            [id.to_i, [state.to_sym, warm&.to_r]]
          end
        end
      end
    end
  end
end
