# frozen_string_literal: true

require_relative "../base"
require_relative "../views/bought_view"
require_relative "../../desk/acts/put_away_bought"
require_relative "../../desk/shopping/receipt_check"

module NutShelf
  module Api
    # What was bought until it is put away.
    class Bought < Base
      get("/") { view(:stock, :rules, :list) { |work| BoughtView.new(work).call } }

      post("/") { act_on_stacks(Desk::PutAwayBought, body_as("PutAwayBought")) }

      # Changes nothing.
      post("/receipt") do
        asked = body_as("Receipt")
        read_only { |work| json receipt(Desk::ReceiptCheck.new(work).call(asked[:text])) }
      end

      helpers do
        def receipt(found)
          {
            paid_minor: found.pairs.sum(&:paid) + found.extra.sum(&:price_minor),
            pairs: found.pairs.map do |pair|
              { ref: pair.bought.ref, text: pair.bought.text, expected_minor: pair.bought.price_minor,
                paid_minor: pair.paid, same: pair.same?, lines: pair.lines.map(&:text) }
            end,
            extra: found.extra.map { |line| line.slice(:text, :price_minor) },
            unpaid: found.unpaid.map { |one| one.slice(:ref, :text) }
          }
        end
      end
    end
  end
end
